<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Photos of samples: drawn anew, pinned to a row, once each. */
final class PhotoTest extends TestCase
{
    private SewingClass $class;

    private string $student;

    private string $sample;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
        $this->student = $this->student($this->class);
        $seam = $this->seam($this->class, $this->student);
        $this->postJson('/api/samples', $seam)->assertCreated();
        $this->sample = (string) DB::table('samples')->value('id');
    }

    private function address(string $last, string $row = 'seam'): string
    {
        return "/api/samples/{$this->sample}/photos?id=01jbq3zz7h4x8v1m2n3p4q5r6$last&row=$row";
    }

    /** Exif as a camera writes it: held on its side, and where it was. */
    private static function withPlace(string $jpeg): string
    {
        $entry = fn (int $tag, int $type, int $n, string $value): string => pack('vvV', $tag, $type, $n).str_pad($value, 4, "\0");
        $north = pack('V6', 51, 1, 30, 1, 0, 1);
        // Header 8, three entries at 8 (2 + 2·12 + 4 = 30), the place at 38 (2 + 2·12 + 4 = 30), its figures at 68.
        $tiff = 'II*'."\0".pack('V', 8).pack('v', 2).$entry(0x0112, 3, 1, pack('v', 6)).$entry(0x8825, 4, 1, pack('V', 38)).pack('V', 0)
            .pack('v', 2).$entry(1, 2, 2, "N\0").$entry(2, 5, 3, pack('V', 68)).pack('V', 0).$north;
        $exif = "Exif\0\0".$tiff;

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
    }

    public function test_a_photo_is_drawn_anew_upright_and_without_a_place(): void
    {
        $sent = self::withPlace($this->picture(2400, 1200));
        $notes = exif_read_data('data://image/jpeg;base64,'.base64_encode($sent));
        self::assertIsArray($notes);
        self::assertSame(['51/1', '30/1', '0/1'], $notes['GPSLatitude'], 'what is sent does say where it was taken');

        $this->sendPicture($this->address('s'), $sent)->assertCreated()->assertJsonPath('row', 'seam')->assertJsonPath('width', 800)->assertJsonPath('height', 1600);
        $kept = (string) $this->get('/api/photos/01jbq3zz7h4x8v1m2n3p4q5r6s')->assertOk()->assertHeader('Content-Type', 'image/jpeg')->assertHeader('Cache-Control', 'no-store, private')->getContent();
        self::assertSame([800, 1600], array_slice(getimagesizefromstring($kept) ?: [], 0, 2));
        self::assertStringNotContainsString('Exif', $kept);
        // The left half was black: turned a quarter clockwise it is the upper half.
        $image = imagecreatefromstring($kept);
        self::assertNotFalse($image);
        self::assertLessThan(60, imagecolorat($image, 400, 300) & 0xFF);
        self::assertGreaterThan(190, imagecolorat($image, 400, 1300) & 0xFF);
    }

    public function test_it_shows_where_the_next_sample_is_looked_at_and_in_the_evidence(): void
    {
        $this->sendPicture($this->address('s'), $this->picture())->assertCreated();
        $this->sendPicture($this->address('s'), $this->picture())->assertCreated();
        self::assertSame(1, DB::table('sample_photos')->count(), 'sent twice, kept once');
        $this->getJson("/api/classes/{$this->class->id}/students/{$this->student}/photos?lesson=first-seam")->assertOk()->assertJsonCount(1)->assertJsonPath('0.row', 'seam')->assertJsonPath('0.sample', $this->sample);
        $this->getJson("/api/classes/{$this->class->id}/students/{$this->student}/photos?lesson=guides")->assertOk()->assertExactJson([]);
        $this->getJson("/api/classes/{$this->class->id}/students/{$this->student}/skills/keep-allowance")->assertOk()->assertJsonCount(1, 'showings.0.photos');
        $this->deleteJson('/api/photos/01jbq3zz7h4x8v1m2n3p4q5r6s')->assertNoContent();
        $this->getJson('/api/photos/01jbq3zz7h4x8v1m2n3p4q5r6s')->assertNotFound();
    }

    public function test_what_cannot_be_pinned_is_named(): void
    {
        $this->assertProblem($this->sendPicture($this->address('s'), '<svg onload="alert(1)"/>'), 422, '(body)', 'JPEG, PNG or WebP');
        $this->assertProblem($this->sendPicture($this->address('s'), substr($this->picture(), 0, 300)), 422, '(body)', 'broken');
        $this->assertProblem($this->sendPicture($this->address('s', 'hem'), $this->picture()), 422, 'row', 'seam');
        $this->assertProblem($this->sendPicture("/api/samples/{$this->sample}/photos?id=7", $this->picture()), 422, 'id', 'ULID');
        $this->assertProblem($this->sendPicture($this->address('s'), str_repeat('x', 4_100_000)), 413, '(body)', 'at most');
        foreach (['a', 'b', 'c', 'd', 'e', 'f'] as $last) {
            $this->sendPicture($this->address($last), $this->picture())->assertCreated();
        }
        $this->assertProblem($this->sendPicture($this->address('g'), $this->picture()), 422, 'sample', '6 photos');
        self::assertSame(6, DB::table('sample_photos')->count());
    }
}
