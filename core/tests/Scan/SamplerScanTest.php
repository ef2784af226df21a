<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Scan\CannotRead;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\Sampled;
use OpenSeam\Core\Scan\SamplerScan;
use OpenSeam\Core\Scan\ScannedRow;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

/** A lesson's own sampler, laid over a piece that was drawn by other code. */
final class SamplerScanTest extends TestCase
{
    private const DPI = 180.0;

    private static function lesson(string $id): Lesson
    {
        return Fixtures::bundle()->lesson($id);
    }

    private static function piece(float $wide, float $high): DrawnPiece
    {
        $piece = new DrawnPiece;
        [$piece->widthMm, $piece->heightMm, $piece->marginMm, $piece->dpi] = [$wide, $high, 7.0, self::DPI];

        return $piece;
    }

    private static function scan(DrawnPiece $piece, string $lesson, int $seed = 4): SamplerScan
    {
        $sampler = self::lesson($lesson)->sampler;

        return SamplerScan::read(new Sampled(Raster::read($piece->draw($seed)), 25.4 / self::DPI), $sampler, SamplerScan::pieces($sampler)[0]);
    }

    /** @return list<float|null> */
    private static function values(ScannedRow $row, string $reading): array
    {
        return array_map(fn (?Reading $r): ?float => $r?->value, $row->readings[$reading]);
    }

    public function test_a_zigzag_ladder_lane_by_lane(): void
    {
        $piece = self::piece(90.0, 120.0);
        // Width, length for each stroke, and where it lies: its neighbours are 6.5 mm away.
        $sewn = [[3.6, 2.1, 12.3], [3.4, 3.2, 18.3], [3.5, 1.05, 25.2], [2.1, 2.0, 31.4], [1.1, 2.8, 38.2]];
        foreach ($sewn as [$width, $length, $at]) {
            $piece->rows[] = ['stitch' => 'zigzag', 'edge' => 'left', 'at' => $at, 'length' => $length, 'width' => $width, 'drift' => 0.4, 'wobble' => 0.1, 'from' => 8.0, 'to' => 112.0];
        }
        $scan = self::scan($piece, 'zigzag-ladder');
        self::assertNull($scan->cannot);
        self::assertSame(['average', 'longer', 'closer', 'narrower', 'narrow'], array_map(fn (ScannedRow $r): string => $r->row, $scan->rows));
        foreach ($scan->rows as $i => $row) {
            self::assertNull($row->cannot, $row->row);
            self::assertEqualsWithDelta($sewn[$i][0], self::values($row, 'width')[0], 0.2, $row->row);
            // Points on one side are two strokes apart each.
            [$points, $span] = self::values($row, 'length');
            self::assertEqualsWithDelta($sewn[$i][1], $span / $points / 2, 0.03 * $sewn[$i][1], $row->row);
            self::assertLessThanOrEqual(104.0, $span);
            self::assertNull($row->readings['length'][0]?->u ?: null, 'a count is whole');
            self::assertGreaterThan(0.0, $row->readings['length'][1]?->u);
        }
    }

    public function test_three_lengths_one_after_the_other_on_one_line(): void
    {
        $piece = self::piece(100.0, 150.0);
        foreach ([[2.4, 6.0, 52.0], [2.9, 52.0, 98.0], [1.1, 98.0, 144.0]] as [$length, $from, $to]) {
            $piece->rows[] = ['stitch' => 'straight', 'edge' => 'left', 'at' => 50.5, 'length' => $length, 'width' => 0.0, 'drift' => 0.2, 'wobble' => 0.05, 'from' => $from, 'to' => $to];
        }
        $scan = self::scan($piece, 'length-ladder');
        $lengths = array_map(fn (ScannedRow $r): float => $r->cannot !== null ? 0.0 : self::values($r, 'count')[1] / self::values($r, 'count')[0], $scan->rows);
        self::assertEqualsWithDelta(2.4, $lengths[0], 0.05);
        self::assertEqualsWithDelta(2.9, $lengths[1], 0.06);
        self::assertEqualsWithDelta(1.1, $lengths[2], 0.03);
    }

    public function test_each_mark_is_read_where_the_ruler_would_lie(): void
    {
        $piece = self::piece(100.0, 150.0);
        $piece->rows[] = ['stitch' => 'straight', 'edge' => 'right', 'at' => 15.5, 'length' => 2.5, 'width' => 0.0, 'drift' => 2.0, 'wobble' => 0.1, 'from' => 4.0, 'to' => 146.0];
        $scan = self::scan($piece, 'first-seam');
        self::assertCount(1, $scan->rows);
        self::assertSame(['allowance'], array_keys($scan->rows[0]->readings), 'what a picture cannot tell stays empty');
        foreach ([15.0, 45.0, 75.0, 105.0, 135.0] as $i => $at) {
            $read = $scan->rows[0]->readings['allowance'][$i];
            self::assertNotNull($read);
            self::assertEqualsWithDelta($piece->allowance(0, $at), $read->value, 0.3);
            self::assertLessThan(3.0, abs($piece->allowance(0, $at) - $read->value) / $read->u);
        }
        self::assertCount(5, $scan->rows[0]->seen);
    }

    public function test_another_piece_and_one_that_lies_upside_down_are_named(): void
    {
        $piece = self::piece(60.0, 60.0);
        self::assertSame(CannotRead::OtherPiece, self::scan($piece, 'first-seam')->cannot);
        $turned = self::piece(100.0, 150.0);
        $turned->rows[] = ['stitch' => 'straight', 'edge' => 'left', 'at' => 15.5, 'length' => 2.5, 'width' => 0.0, 'drift' => 0.0, 'wobble' => 0.1, 'from' => 4.0, 'to' => 146.0];
        self::assertSame(CannotRead::UpsideDown, self::scan($turned, 'first-seam')->cannot);
        $bare = self::scan(self::piece(100.0, 150.0), 'first-seam');
        self::assertNull($bare->cannot);
        self::assertNotNull($bare->rows[0]->cannot, 'nothing was sewn on it');
        self::assertSame([], $bare->rows[0]->readings);
    }

    public function test_lessons_say_what_a_picture_tells_of_them(): void
    {
        self::assertSame(['a', 'b'], SamplerScan::pieces(self::lesson('guides')->sampler));
        foreach (['buttonhole', 'satin-bar', 'gathers', 'square-spiral'] as $other) {
            self::assertSame([], SamplerScan::pieces(self::lesson($other)->sampler), $other);
        }
    }
}
