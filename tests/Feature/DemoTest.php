<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Console\LoadDemo;
use App\Models\Machine;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Models\User;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The invented class: what a teacher would say of each of the ten; common practice, no source. */
final class DemoTest extends TestCase
{
    private SewingClass $class;

    /** @var list<array<string, mixed>> */
    private array $rows;

    protected function setUp(): void
    {
        parent::setUp();
        Clock::fix(null);
        $studio = app(LoadDemo::class)();
        $this->actingAs(User::query()->where('studio_id', $studio->id)->firstOrFail());
        $this->class = SewingClass::query()->where('studio_id', $studio->id)->where('name', 'Beginners one')->firstOrFail();
        /** @var list<array<string, mixed>> $rows */
        $rows = $this->getJson("/api/classes/{$this->class->id}/today")->assertOk()->json('students');
        $this->rows = $rows;
    }

    /** @return array<string, mixed> */
    private function row(string $name): array
    {
        foreach ($this->rows as $row) {
            if ($row['name'] === $name) {
                return $row;
            }
        }
        self::fail("Nobody is called $name.");
    }

    /** @return iterable<string, array{string, string, string, string}> name, what is in hand, part of the change, part of the reasons */
    public static function students(): iterable
    {
        yield 'strong' => ['Isaura', 'Square spiral', 'First time', 'Guides is met'];
        yield 'stuck on the allowance' => ['Tobiah', 'First seam', 'Show it once more', '3 times in a row'];
        yield 'skips securing' => ['Linnet', 'First seam: six ends, secured', 'Three stitches back at the end', 'seam opens at the end'];
        yield 'nests from threading' => ['Osric', 'Wind and thread: foot up, thread, three times', 'foot up', 'nest of thread'];
        yield 'missed a session' => ['Keziah', 'First seam', 'First time', 'Paper drive is met'];
        yield 'too close to call' => ['Fenna', 'Guides', 'First time', 'Count 14 stitches'];
        yield 'near twice' => ['Corwin', 'Length ladder', 'Set it shorter', 'Near twice'];
        yield 'on the way' => ['Damaris', 'Guides', 'First time', 'Length ladder is met'];
        yield 'a little wide, once' => ['Ambrose', 'Length ladder', 'First time', 'Next in the course'];
        yield 'behind after an absence' => ['Wilmot', 'Paper drive', 'Lift off the pedal', 'Pedal control'];
    }

    #[DataProvider('students')]
    public function test_a_teacher_would_agree(string $name, string $title, string $change, string $why): void
    {
        $row = $this->row($name);
        self::assertSame($title, data_get($row, 'in_hand.title'));
        self::assertStringContainsString($change, (string) data_get($row, 'in_hand.change'));
        self::assertStringContainsString($why, implode(' ', (array) $row['why']));
    }

    public function test_a_mixed_room_of_eight_machines(): void
    {
        $machines = Machine::query()->where('studio_id', $this->class->studio_id)->get();
        self::assertCount(8, $machines);
        self::assertEqualsCanonicalizing(Machine::DRIVES, $machines->pluck('drive')->unique()->values()->all());
        self::assertGreaterThan(1, $machines->pluck('tension_mark')->unique()->count());
    }

    public function test_three_sessions_are_past_and_the_fourth_has_begun(): void
    {
        $plan = (array) $this->getJson("/api/classes/{$this->class->id}/plan")->assertJsonPath('problems', [])->json('sessions');
        $starts = array_map(fn (mixed $s): CarbonImmutable => CarbonImmutable::parse((string) data_get($s, 'starts_at')), $plan);
        self::assertCount(3, array_filter($starts, fn (CarbonImmutable $s): bool => $s->addHours(2) < Clock::now()));
        self::assertTrue($starts[3] < Clock::now() && Clock::now() < $starts[3]->addHours(2));
        self::assertSame(0, Sample::query()->where('studio_id', $this->class->studio_id)->where('kept_at', '>', Clock::now())->count(), 'nothing is kept ahead of time');
    }

    public function test_loading_when_new_leaves_a_kept_studio_alone(): void
    {
        $studios = Studio::query()->count();
        $this->artisan('seam:demo')->assertSuccessful();
        $this->artisan('seam:welcome')->assertSuccessful();
        self::assertSame($studios, Studio::query()->count());
    }

    public function test_next_lesson_and_its_alternatives(): void
    {
        $student = (string) $this->row('Tobiah')['student'];
        $advice = $this->getJson("/api/classes/{$this->class->id}/students/$student/next")->assertOk()
            ->assertJsonPath('kind', 'repeat')->assertJsonPath('lesson', 'first-seam')->assertJsonPath('drill', null)->assertJsonPath('change.kind', 'habit');
        $evidence = array_merge([], ...array_map(fn (mixed $r): array => (array) data_get($r, 'evidence'), (array) $advice->json('reasons')));
        self::assertGreaterThanOrEqual(3, count($evidence));
        foreach ($evidence as $e) {
            self::assertTrue(Sample::query()->whereKey((string) data_get($e, 'sample'))->exists(), 'each reason leads to a kept sample');
        }
        $lessons = array_unique(array_column((array) $advice->json('candidates'), 'lesson'));
        self::assertCount(51, $lessons, 'all lessons can be chosen instead');
    }
}
