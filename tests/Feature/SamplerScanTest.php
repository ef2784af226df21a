<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Studio;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Scan\CardLayout;
use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\FoundCard;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use OpenSeam\Core\Tests\Support\PhotographedCard;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A sample on its card: photographed, read, and forgotten. */
final class SamplerScanTest extends TestCase
{
    private static string $photo = '';

    /** First seam, 100 × 150 mm. */
    private static function photo(): string
    {
        return self::$photo = self::$photo === '' ? PhotographedCard::firstSeam(tilt: 10.0, turn: 183.0) : self::$photo;
    }

    public function test_a_photograph_is_typed_as_a_ruler_would_be_and_nothing_of_it_is_kept(): void
    {
        $teacher = $this->teacher();
        $this->actingAs($teacher);
        $before = DB::table('sample_photos')->count();
        $read = $this->sendPicture('/api/scans/sampler?lesson=first-seam', self::photo())->assertOk()->assertJsonPath('cannot', null)->assertJsonPath('rows.0.row', 'seam')->assertJsonPath('rows.0.cannot', null);
        $typed = $read->json('rows.0.readings')['seam.allowance'];
        self::assertCount(5, $typed);
        foreach ($typed as $i => $value) {
            self::assertMatchesRegularExpression('/^\d+\.\d\d ±0\.\d\d$/', $value);
            self::assertEqualsWithDelta(15.6 + 1.2 * ((15 + 30 * $i) / 150 - 0.5), (float) $value, 0.5);
        }
        self::assertCount(4, $read->json('outline'));
        self::assertEqualsWithDelta(100.0, $read->json('width_mm'), 0.5);
        // As they come they are readings: nothing has to be typed again.
        $class = $this->sewingClass($teacher);
        $this->postJson('/api/samples/preview', ['class' => $class->id, 'student' => $this->student($class), 'lesson' => 'first-seam', 'faults' => [], 'readings' => ['seam.allowance' => $typed]])->assertOk()->assertJsonPath('checks.0.verdict', 'met');
        $teacher->update(['unit' => 'in']);
        self::assertMatchesRegularExpression('/^0\.6\d\d\d ±0\.0\d\d\d$/', $this->actingAs($teacher->refresh())->sendPicture('/api/scans/sampler?lesson=first-seam', self::photo())->assertOk()->json('rows.0.readings')['seam.allowance'][2]);
        self::assertSame($before, DB::table('sample_photos')->count());
    }

    public function test_what_is_seen_or_not_is_typed_as_it_is_tapped_and_is_no_length_to_compare(): void
    {
        $teacher = $this->teacher();
        $this->actingAs($teacher);
        $piece = new DrawnPiece;
        [$piece->widthMm, $piece->heightMm, $piece->marginMm] = [100.0, 90.0, 8.0];
        foreach ([[22.0, 0.6], [50.0, 0.27], [78.0, 0.27]] as [$at, $length]) {
            $piece->rows[] = ['stitch' => 'zigzag', 'edge' => 'left', 'at' => $at, 'length' => $length, 'width' => 5.2, 'drift' => 0.0, 'wobble' => 0.0, 'from' => 15.0, 'to' => 75.0];
        }
        $rows = $this->sendPicture('/api/scans/sampler?lesson=satin-bar&dpi=300', $piece->draw(4))->assertOk()->assertJsonPath('cannot', null)->json('rows');
        $readings = array_merge(...array_column($rows, 'readings'));
        self::assertSame([['0'], ['1'], ['1']], [$readings['bar-1.closed'], $readings['bar-2.closed'], $readings['bar-3.closed']]);
        $class = $this->sewingClass($teacher);
        $checks = $this->postJson('/api/samples/preview', ['class' => $class->id, 'student' => $this->student($class), 'lesson' => 'satin-bar', 'faults' => [], 'readings' => $readings])->assertOk()->json('checks');
        self::assertSame(['not-yet', 'met', 'met'], array_column(array_filter($checks, fn (array $c): bool => str_ends_with($c['key'], '.closed')), 'verdict'));
        $send = ['id' => '01JZZZZZZZZZZZZZZZZZZZZZ77', 'lesson' => 'satin-bar', 'ruler' => ['bar-2.closed' => ['1']], 'camera' => ['bar-2.closed' => ['1']]];
        $this->assertProblem($this->postJson('/api/camera/samples', $send), 422, 'ruler', 'both by ruler and by camera');
    }

    public function test_what_the_line_measures_is_kept_with_the_studio_and_scales_what_is_read(): void
    {
        $teacher = $this->teacher();
        $other = $this->teacher();
        $this->actingAs($teacher)->getJson('/api/photo-card')->assertOk()->assertJsonPath('line_mm', null);
        $this->putJson('/api/photo-card', ['line_mm' => 97])->assertOk()->assertJsonPath('line_mm', 97);
        $wide = $this->actingAs($teacher->refresh())->sendPicture('/api/scans/sampler?lesson=first-seam', self::photo())->assertOk()->json('width_mm');
        self::assertEqualsWithDelta(97.0, $wide, 0.5);
        self::assertNull(Studio::query()->whereKey($other->studio_id)->value('card_line_mm'), 'nobody else’s');
        $this->assertProblem($this->putJson('/api/photo-card', ['line_mm' => 50]), 422, 'line_mm', '90');
        $this->assertProblem($this->putJson('/api/photo-card', ['line_mm' => 'long']), 422, 'line_mm', 'number');
        $this->putJson('/api/photo-card', ['line_mm' => null])->assertOk()->assertJsonPath('line_mm', null);
    }

    public function test_what_is_no_picture_of_a_sample_is_said(): void
    {
        $this->actingAs($this->teacher());
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=first-seam', 'abc'), 422, '(body)', 'JPEG');
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=first-seam', ''), 422, '(body)', 'JPEG');
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=first-seam', str_repeat('x', 4_100_000)), 413, '(body)', 'kB');
        // A picture that says it is enormous is never unpacked.
        $bomb = "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NNC5', 60_000, 60_000, 8, 2, 0, 0, 0).pack('N', 0);
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=first-seam', $bomb), 422, '(body)', 'million');
        $this->sendPicture('/api/scans/sampler?lesson=first-seam', $this->picture(600, 400))->assertOk()->assertJsonPath('cannot', 'no-card')->assertJsonPath('rows', []);
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=knitting', self::photo()), 422, 'lesson', 'Known');
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=first-seam&piece=sleeve', self::photo()), 422, 'piece', 'square');
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=gathers', self::photo()), 422, 'piece', 'ruler and eye');
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=first-seam&dpi=9', self::photo()), 422, 'dpi', '72');
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=first-seam&way=nonsense', self::photo()), 422, 'way', 'JSON');
        $this->assertProblem($this->sendPicture('/api/scans/sampler?lesson=first-seam&version=-1', self::photo()), 422, 'version', 'whole');
        $this->sendPicture('/api/scans/sampler?lesson=quarter-seam', self::photo())->assertOk()->assertJsonPath('cannot', 'other-piece');
    }

    /** @return iterable<string, array{string, string}> */
    public static function cards(): iterable
    {
        yield 'A4' => ['format=A4', 'a4'];
        yield 'A4, left-handed' => ['format=A4&hand=left', 'a4'];
        yield 'Letter' => ['format=Letter', 'letter'];
    }

    /** What the printer gets is found where it says: the PDF is drawn by poppler and read as a photograph. */
    #[DataProvider('cards')]
    public function test_the_printed_card_is_the_one_that_is_looked_for(string $query, string $layout): void
    {
        $pages = $this->actingAs($this->teacher())->drawn("/api/print/photo-card?$query");
        self::assertCount(1, $pages);
        $page = Raster::read($pages[0]);
        $card = FoundCard::in($page);
        self::assertInstanceOf(FoundCard::class, $card);
        self::assertSame($layout, $card->layout->id);
        self::assertLessThan(0.1, $card->offMm);
        // 150 dots an inch: true to size.
        self::assertEqualsWithDelta([150 / 25.4, 150 / 25.4], $card->map->fineness(100.0, 140.0), 0.02);
        $view = new CardView($page, $card);
        self::assertEqualsWithDelta(CardLayout::GREY, $view->line(50.0, 50.0, 0.1, 0.0, 1)[0][1] ?? 0.0, 4.0);
    }

    public function test_the_card_of_two_sheets_is_one_when_they_are_joined(): void
    {
        $pages = $this->actingAs($this->teacher())->drawn('/api/print/photo-card?size=two&format=A4');
        self::assertCount(2, $pages);
        // Laid on one another by their lines: the lower one hides what both have.
        $layout = CardLayout::of('double');
        $px = 150 / 25.4;
        $half = ($layout->heightMm + 14) / 2;
        $top = 5 + (210 - 10 - $half) / 2;
        [$wide, $high] = [(int) (297 * $px), (int) (($top + $layout->heightMm + 10) * $px)];
        $joined = imagecreatetruecolor($wide, $high);
        self::assertNotFalse($joined);
        imagefill($joined, 0, 0, 0xFFFFFF);
        foreach ([[0.0, $top + $half - 7, 0.0], [$top + 7, 210.0 - $top - 7, $half - 14]] as $i => [$from, $long, $down]) {
            $sheet = imagecreatefromstring($pages[$i]);
            self::assertNotFalse($sheet);
            imagecopy($joined, $sheet, 0, (int) round(($from + $down) * $px), 0, (int) round($from * $px), $wide, (int) round($long * $px));
        }
        ob_start();
        imagepng($joined);
        $card = FoundCard::in(Raster::read((string) ob_get_clean()));
        self::assertInstanceOf(FoundCard::class, $card);
        self::assertSame('double', $card->layout->id);
        self::assertLessThan(0.2, $card->offMm);
        $this->assertProblem($this->getJson('/api/print/photo-card?size=three'), 422, 'size', 'one, two');
        $this->assertProblem($this->getJson('/api/print/photo-card?hand=third'), 422, 'hand', 'right, left');
    }

    /** @return list<string> pages of a PDF as PNG, 150 dots an inch */
    private function drawn(string $address): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'seam-photo-card');
        file_put_contents($file, (string) $this->get($address)->assertOk()->getContent());
        shell_exec('pdftoppm -r 150 -png '.escapeshellarg($file).' '.escapeshellarg($file));
        $pages = [];
        foreach (glob("$file-*.png") ?: [] as $page) {
            $pages[] = (string) file_get_contents($page);
            unlink($page);
        }
        unlink($file);

        return $pages;
    }
}
