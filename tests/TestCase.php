<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\User;
use App\Support\Clock;
use App\Support\CurrentStudio;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** A test against the real database; everything is rolled back afterwards. */
abstract class TestCase extends FrameworkTestCase
{
    use DatabaseTransactions;
    use HeldToContract;

    protected const NOW = '2030-05-09 19:00:00';

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC'));
        // What a test looks up itself it finds in every studio; requests are limited as they are.
        app(CurrentStudio::class)->reachAll();
    }

    protected function tearDown(): void
    {
        Clock::fix(null);
        parent::tearDown();
    }

    protected function teacher(string $studio = 'Test room'): User
    {

        return $this->app?->make(\App\Records\OpenStudio::class)($studio, 'A teacher', Str::lower(Str::random(12)).'@room.example', 'a long password', 'UTC') ?? throw new \RuntimeException;
    }

    /**
     * A class of the teacher's whose second session is running.
     *
     * @param  list<string>  $names
     */
    protected function sewingClass(User $teacher, array $names = ['Ona', 'Pim', 'Rue']): SewingClass
    {
        $id = $this->actingAs($teacher)->postJson('/api/classes', [
            'name' => 'Thursday', 'students' => $names, 'starts_on' => '2030-05-02', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120, 'helpers' => 0, 'machines' => 8, 'began' => true,
        ])->assertCreated()->json('id');

        return SewingClass::query()->findOrFail(is_string($id) ? $id : '');
    }

    protected function student(SewingClass $class, int $seat = 1): string
    {
        return Enrolment::query()->where('class_id', $class->id)->where('seat', $seat)->firstOrFail()->student_id;
    }

    /**
     * A good first seam, but for what is given.
     *
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    protected function seam(SewingClass $class, string $student, array $but = []): array
    {
        return array_merge([
            'id' => strtolower((string) Str::ulid()), 'class' => $class->id, 'student' => $student, 'lesson' => 'first-seam', 'faults' => [],
            'readings' => [
                'seam.allowance' => ['16', '15,5', '5/8 in', '16', '16.5'], 'seam.start-in' => ['4'], 'seam.back-start' => ['3'], 'seam.back-end' => ['3'],
                'seam.pull' => ['1'], 'seam.tails-held' => ['1'], 'seam.highest' => ['1'], 'seam.tail' => ['55'], 'seam.pins' => ['1'],
            ],
        ], $but);
    }

    /**
     * Bytes as a scan or a photo is sent.
     *
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    protected function sendPicture(string $address, string $bytes): TestResponse
    {
        return $this->call('POST', $address, [], [], [], ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'], $bytes);
    }

    /** A JPEG, its left half black and its right half pale. */
    protected function picture(int $width = 60, int $height = 40): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        self::assertNotFalse($image);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 220, 220, 220));
        imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, 0);
        ob_start();
        imagejpeg($image);

        return (string) ob_get_clean();
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $response */
    protected function assertProblem(TestResponse $response, int $status, string $field, string $said): void
    {
        $response->assertStatus($status)->assertJsonPath('error.field', $field);
        $message = $response->json('error.message');
        self::assertIsString($message);
        self::assertStringContainsString($said, $message);
        self::assertNotSame('', $response->json('error.kept'));
    }
}
