<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use OpenSeam\Core\Scan\SimulatedSample;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** A scan is read and forgotten. */
final class ScanTest extends TestCase
{
    /** @return TestResponse<Response> */
    private function send(string $pixels, string $query): TestResponse
    {
        return $this->sendPicture("/api/scans/read?$query", $pixels);
    }

    public function test_a_scan_is_read_or_it_is_said_that_it_cannot_be(): void
    {
        $this->actingAs($this->teacher());
        $scan = (new SimulatedSample(widthMm: 50, heightMm: 60, allowanceMm: 12.7, lengthMm: 2.2, driftMm: 1.0))->draw(4);
        $read = $this->send($scan->pixels, "width={$scan->width}&height={$scan->height}&dpi=300")->assertOk()->assertJsonPath('cannot', null);
        self::assertEqualsWithDelta(2.2, $read->json('length_mm'), 0.044);
        self::assertEqualsWithDelta(12.7, $read->json('allowance_mm'), 0.3);
        self::assertEqualsWithDelta(1.0, $read->json('drift_mm'), 0.3);
        $blank = str_repeat(chr(200), 200 * 300);
        $this->send($blank, 'width=200&height=300&dpi=300')->assertOk()->assertJsonPath('cannot', 'edge')->assertJsonPath('length_mm', null);
    }

    public function test_what_is_no_picture_is_named(): void
    {
        $this->actingAs($this->teacher());
        $this->assertProblem($this->send('abc', 'width=200&height=300&dpi=300'), 422, '(body)', '60000 bytes');
        $this->assertProblem($this->send('abc', 'width=5&height=300&dpi=300'), 422, 'width', 'from 20');
        $this->assertProblem($this->send('abc', 'width=200&height=300&dpi=9'), 422, 'dpi', 'from 72');
        $this->assertProblem($this->send(str_repeat('x', 4_100_000), 'width=2000&height=2050&dpi=300'), 413, '(body)', 'at most 3906 kB');
    }

    public function test_what_was_measured_becomes_the_readings_of_a_row(): void
    {
        $this->actingAs($this->teacher());
        $marks = array_map(fn (int $i): array => [5.0 * $i, 15.9 + 0.02 * $i], range(0, 28));
        $typed = $this->postJson('/api/scans/readings', ['lesson' => 'first-seam', 'row' => 'seam', 'marks' => $marks, 'stitch_mm' => 2.48, 'row_mm' => 140])->assertOk()->json();
        self::assertIsArray($typed);
        self::assertSame('15.9', $typed['seam.allowance'][0]);
        self::assertSame('16.4', $typed['seam.allowance'][4]);
        $this->assertProblem($this->postJson('/api/scans/readings', ['lesson' => 'first-seam', 'row' => 'hem', 'marks' => [], 'row_mm' => 0]), 422, 'row', 'seam');
        $this->assertProblem($this->postJson('/api/scans/readings', ['lesson' => 'first-seam', 'row' => 'seam', 'marks' => [], 'row_mm' => 0]), 422, 'marks', 'Too little');
        $this->assertProblem($this->postJson('/api/scans/readings', ['lesson' => 'first-seam', 'row' => 'seam', 'marks' => [[1, 2, 3]], 'row_mm' => 0]), 422, 'marks.0', '2 in it');
    }

    /** PNG read by PHP's own eyes, and its pixels unpacked again. */
    public function test_the_drawn_scan_is_a_png_that_says_what_it_was_drawn_with(): void
    {
        $this->actingAs($this->teacher());
        $png = (string) $this->get('/api/scans/simulated?seed=3&length_mm=3&allowance_mm=10')->assertOk()->assertHeader('Content-Type', 'image/png')->getContent();
        [$width, $height, $type] = getimagesizefromstring($png) ?: [0, 0, 0];
        self::assertSame(IMAGETYPE_PNG, $type);
        $at = (int) strpos($png, 'IDAT');
        $data = substr($png, $at + 4, (int) (((array) unpack('N', substr($png, $at - 4, 4)))[1] ?? 0));
        $rows = (string) gzuncompress($data);
        $pixels = implode('', array_map(fn (string $row): string => substr($row, 1), str_split($rows, $width + 1)));
        self::assertSame($width * $height, strlen($pixels));
        $read = $this->send($pixels, "width=$width&height=$height&dpi=300")->assertOk();
        self::assertEqualsWithDelta(3.0, $read->json('length_mm'), 0.06);
        self::assertEqualsWithDelta(10.0, $read->json('allowance_mm'), 0.3);
        $this->assertProblem($this->getJson('/api/scans/simulated?length_mm=99'), 422, 'length_mm', 'from 0.9 to 6');
    }
}
