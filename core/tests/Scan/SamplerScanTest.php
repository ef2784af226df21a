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
use PHPUnit\Framework\Attributes\DataProvider;
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
        self::assertSame(['average', 'longer', 'closer', 'narrower', 'narrow', 'looking'], array_map(fn (ScannedRow $r): string => $r->row, $scan->rows));
        // From one row to the next.
        foreach ([6.0, 6.9, 6.2, 6.8] as $i => $apart) {
            $read = $scan->rows[5]->readings['spacing'][$i];
            self::assertNotNull($read);
            self::assertEqualsWithDelta($apart, $read->value, 0.25);
            self::assertLessThan(3.0, abs($apart - $read->value) / $read->u);
        }
        foreach (array_slice($scan->rows, 0, 5) as $i => $row) {
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
        // Pale cloth whose weave repeats as its shortest stitches do.
        [$piece->cloth, $piece->thread, $piece->weave] = [[236, 232, 224], [90, 80, 70], 8.0];
        foreach ([[2.4, 6.0, 52.0], [4.0, 52.0, 98.0], [1.0, 98.0, 144.0]] as [$length, $from, $to]) {
            $piece->rows[] = ['stitch' => 'straight', 'edge' => 'left', 'at' => 50.5, 'length' => $length, 'width' => 0.0, 'drift' => 0.2, 'wobble' => 0.05, 'from' => $from, 'to' => $to];
        }
        $scan = self::scan($piece, 'length-ladder');
        $lengths = array_map(fn (ScannedRow $r): float => $r->cannot !== null ? 0.0 : self::values($r, 'count')[1] / self::values($r, 'count')[0], $scan->rows);
        self::assertEqualsWithDelta(2.4, $lengths[0], 0.05);
        self::assertEqualsWithDelta(4.0, $lengths[1], 0.08);
        self::assertEqualsWithDelta(1.0, $lengths[2], 0.03);
    }

    public function test_each_mark_is_read_where_the_ruler_would_lie(): void
    {
        $piece = self::piece(100.0, 150.0);
        $piece->rows[] = ['stitch' => 'straight', 'edge' => 'right', 'at' => 15.5, 'length' => 2.5, 'width' => 0.0, 'drift' => 2.0, 'wobble' => 0.1, 'from' => 4.0, 'to' => 146.0];
        $scan = self::scan($piece, 'first-seam');
        self::assertCount(1, $scan->rows);
        self::assertSame(['allowance', 'start-in'], array_keys($scan->rows[0]->readings), 'what a picture cannot tell stays empty');
        foreach ([15.0, 45.0, 75.0, 105.0, 135.0] as $i => $at) {
            $read = $scan->rows[0]->readings['allowance'][$i];
            self::assertNotNull($read);
            self::assertEqualsWithDelta($piece->allowance(0, $at), $read->value, 0.3);
            self::assertLessThan(3.0, abs($piece->allowance(0, $at) - $read->value) / $read->u);
        }
        self::assertCount(5, $scan->rows[0]->seen[0]);
    }

    public function test_where_a_row_begins_and_a_tail_on_the_edge_is_no_beginning(): void
    {
        foreach ([[5.2, 2.5], [8.0, 1.8], [3.1, 3.0]] as $i => [$from, $length]) {
            $piece = self::piece(100.0, 150.0);
            $piece->rows[] = ['stitch' => 'straight', 'edge' => 'right', 'at' => 15.5, 'length' => $length, 'width' => 0.0, 'drift' => 0.5, 'wobble' => 0.1, 'from' => $from, 'to' => 146.0];
            $read = self::scan($piece, 'first-seam', 7 + $i)->rows[0]->readings['start-in'][0];
            self::assertNotNull($read);
            // Its first stitch dips in a quarter of a millimetre on.
            self::assertEqualsWithDelta($piece->began[0] + 0.24, $read->value, 0.5);
        }
        $piece = self::piece(100.0, 150.0);
        $piece->rows[] = ['stitch' => 'straight', 'edge' => 'right', 'at' => 15.5, 'length' => 2.5, 'width' => 0.0, 'drift' => 0.0, 'wobble' => 0.1, 'from' => -4.0, 'to' => 146.0];
        $scan = self::scan($piece, 'first-seam');
        self::assertArrayNotHasKey('start-in', $scan->rows[0]->readings);
        self::assertArrayHasKey('allowance', $scan->rows[0]->readings);
    }

    /** @return iterable<string, array{list<list<array{float, float}>>, bool, bool}> tails, whether the start and the back stitches there are told */
    public static function tails(): iterable
    {
        // Every sample has them: a hand’s breadth at each end.
        yield 'cut off' => [[], true, true];
        yield 'hanging over both edges' => [[[[84.4, 4.0], [85.4, -3.0], [90.0, -6.0], [80.0, -6.5]], [[84.4, 146.0], [87.0, 152.0], [76.0, 156.0]]], false, false];
        yield 'out of the picture' => [[[[84.4, 4.0], [92.0, -9.0]], [[84.4, 146.0], [80.0, 160.0]]], true, true];
        yield 'over the nearest edge' => [[[[84.4, 4.0], [100.0, 3.0], [106.0, 30.0]], [[84.4, 146.0], [99.0, 140.0], [106.0, 120.0], [104.0, 60.0]]], true, true];
        yield 'across the piece' => [[[[84.4, 4.0], [72.0, 14.0], [60.0, 12.0], [45.0, 20.0]]], true, true];
    }

    /** @param  list<list<array{float, float}>>  $tails */
    #[DataProvider('tails')]
    public function test_a_seam_that_is_sewn_back_at_both_ends_is_read_with_its_tails(array $tails, bool $tellsStart, bool $tellsBack): void
    {
        $piece = self::piece(100.0, 150.0);
        $piece->rows[] = ['stitch' => 'straight', 'edge' => 'right', 'at' => 15.6, 'length' => 2.5, 'width' => 0.0, 'drift' => 0.5, 'wobble' => 0.1, 'from' => 4.0, 'to' => 146.0];
        [$piece->tied, $piece->tails] = [[[3, 3]], $tails];
        $scan = self::scan($piece, 'first-seam', 5);
        self::assertNull($scan->cannot);
        $row = $scan->rows[0];
        foreach (self::lesson('first-seam')->sampler->rows['seam']->fields['allowance']->marks as $i => $mark) {
            self::assertEqualsWithDelta($piece->allowance(0, $mark->atMm ?? 0.0), self::values($row, 'allowance')[$i], 0.15);
        }
        self::assertSame([], $row->skipped);
        self::assertLessThan(0.06, $row->uneven);
        self::assertSame($tellsStart, isset($row->readings['start-in']));
        self::assertSame($tellsBack ? [3.0] : null, isset($row->readings['back-start']) ? self::values($row, 'back-start') : null);
        // What is told is right, where it is told.
        self::assertSame([3.0], isset($row->readings['back-end']) ? self::values($row, 'back-end') : [3.0]);
    }

    public function test_single_stitches_that_were_missed_are_named_and_no_others(): void
    {
        foreach ([2.5, 1.8] as $i => $length) {
            $piece = self::piece(100.0, 150.0);
            $piece->rows[] = ['stitch' => 'straight', 'edge' => 'right', 'at' => 15.5, 'length' => $length, 'width' => 0.0, 'drift' => 0.5, 'wobble' => 0.1, 'from' => 4.0, 'to' => 146.0];
            [$piece->cloth, $piece->thread] = $i % 2 === 0 ? [[226, 218, 204], [30, 60, 120]] : [[60, 58, 66], [240, 238, 230]];
            $whole = self::scan(clone $piece, 'first-seam', 20 + $i)->rows[0];
            self::assertSame([], $whole->skipped, "all sewn, $length");
            self::assertLessThan(0.06, $whole->uneven, 'a machine that feeds evenly');
            $piece->missed[0] = [14, 31];
            $scan = self::scan($piece, 'first-seam', 20 + $i);
            $found = $scan->rows[0]->skipped;
            self::assertCount(2, $found, "two missed, $length");
            // Between the holes of the thirteenth and the fifteenth.
            self::assertNotNull($scan->piece);
            $along = $found[0][1] - $scan->piece->corners[0][1];
            self::assertEqualsWithDelta($piece->began[0] + 14 * $length, $along, 0.05 * 14 * $length + 1.5);
        }
        $piece = self::piece(100.0, 150.0);
        $piece->uneven = 0.5;
        $piece->rows[] = ['stitch' => 'straight', 'edge' => 'right', 'at' => 15.5, 'length' => 2.5, 'width' => 0.0, 'drift' => 0.0, 'wobble' => 0.1, 'from' => 4.0, 'to' => 146.0];
        $uneven = self::scan($piece, 'first-seam')->rows[0];
        // Even chances from a quarter less to a quarter more: 0.5 / √12.
        self::assertEqualsWithDelta(0.144, $uneven->uneven, 0.05);
        self::assertSame([], $uneven->skipped);
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

    public function test_a_square_spiral_lane_by_lane_and_corner_by_corner(): void
    {
        $piece = self::piece(150.0, 150.0);
        // Each side of it as far from its edge as it was sewn; the corners are where they meet.
        $sewn = [['top', 12.9], ['right', 12.0], ['bottom', 13.5], ['left', 12.2], ['top', 19.6], ['right', 18.1], ['bottom', 19.4], ['left', 20.0], ['top', 25.4]];
        foreach ($sewn as $i => [$edge, $at]) {
            // Going right and down it begins at the corner before, going left and up it ends there.
            [$before, $after] = [$sewn[$i - 1][1] ?? 12.7, $sewn[$i + 1][1] ?? 25.7];
            [$from, $to] = $i % 4 < 2 ? [$before, 150.0 - $after] : [$after, 150.0 - $before];
            $piece->rows[] = ['stitch' => 'straight', 'edge' => $edge, 'at' => $at, 'length' => 2.4, 'width' => 0.0, 'drift' => 0.0, 'wobble' => 0.05, 'from' => $from, 'to' => $to];
        }
        $scan = self::scan($piece, 'square-spiral');
        self::assertNull($scan->cannot);
        [$row] = $scan->rows;
        self::assertNull($row->cannot);
        self::assertSame(['corners', 'lanes'], array_keys($row->readings));
        $planned = [12.7, 12.7, 12.7, 12.7, 19.2, 19.2, 19.2, 19.2, 25.7];
        foreach (range(1, 8) as $corner) {
            // Nearer to the edge ahead than its mark: past it.
            $read = $row->readings['corners'][$corner - 1];
            self::assertNotNull($read, "corner $corner");
            self::assertEqualsWithDelta($planned[$corner] - $sewn[$corner][1], $read->value, 0.25, "corner $corner");
            self::assertLessThan(3.0, abs($planned[$corner] - $sewn[$corner][1] - $read->value) / $read->u);
        }
        foreach ([0, 1, 2, 3] as $side) {
            self::assertEqualsWithDelta($sewn[$side + 4][1] - $sewn[$side][1], $row->readings['lanes'][$side]?->value, 0.25, $sewn[$side][0]);
        }
    }

    public function test_satin_as_wide_as_its_thread_is_seen(): void
    {
        $piece = self::piece(100.0, 90.0);
        $sewn = [[22.4, 0.5, 5.2], [49.6, 0.4, 4.6], [78.3, 0.3, 5.5]];
        foreach ($sewn as [$at, $length, $width]) {
            $piece->rows[] = ['stitch' => 'zigzag', 'edge' => 'left', 'at' => $at, 'length' => $length, 'width' => $width, 'drift' => 0.0, 'wobble' => 0.0, 'from' => 15.0, 'to' => 75.0];
        }
        $scan = self::scan($piece, 'satin-bar');
        foreach ($scan->rows as $i => $row) {
            self::assertNull($row->cannot, $row->row);
            foreach ($row->readings['edges'] as $read) {
                self::assertNotNull($read);
                // Each stitch dips into the cloth a quarter of a millimetre before its end.
                self::assertEqualsWithDelta($sewn[$i][2] - 0.48, $read->value, 0.25, $row->row);
                self::assertLessThan(3.0, abs($sewn[$i][2] - 0.48 - $read->value) / $read->u, $row->row);
            }
        }
        // Thread of 0.36 mm: half a millimetre apart cloth shows, 0.3 apart none, and between the two nobody can tell.
        self::assertSame([0.0, 1.0], [$scan->rows[0]->readings['closed'][0]?->value, $scan->rows[2]->readings['closed'][0]?->value]);
        $bare = self::scan(self::piece(100.0, 90.0), 'satin-bar');
        self::assertSame([[], [], []], array_map(fn (ScannedRow $r): array => $r->readings, $bare->rows), 'nothing was sewn on it');
    }

    public function test_the_sides_of_a_buttonhole_and_what_is_open_between_them(): void
    {
        $piece = self::piece(120.0, 80.0);
        // Left and right side, each 1.9 wide, 0.9 apart, with bars over both; the right one of the third is 1.5 shorter.
        foreach ([[30.0, 28.0, 49.0, 0.0], [60.4, 27.6, 48.0, 0.0], [89.8, 28.2, 50.0, 1.5]] as [$at, $from, $to, $short]) {
            $side = fn (float $x, float $a, float $b, float $wide): array => ['stitch' => 'zigzag', 'edge' => 'left', 'at' => $x, 'length' => 0.4, 'width' => $wide, 'drift' => 0.0, 'wobble' => 0.0, 'from' => $a, 'to' => $b];
            array_push($piece->rows, $side($at - 1.64, $from, $to, 2.38), $side($at + 1.64, $from, $to - $short, 2.38), $side($at, $from, $from + 1.6, 5.6));
            $short > 0 ? array_push($piece->rows, $side($at - 1.2, $to - 1.6, $to, 2.4)) : array_push($piece->rows, $side($at, $to - 1.6, $to, 5.6));
        }
        $scan = self::scan($piece, 'buttonhole');
        self::assertSame(['first', 'second', 'sewn'], array_map(fn (ScannedRow $r): string => $r->row, $scan->rows));
        foreach ([[21.0, 21.0], [20.4, 20.4], [21.8, 20.3]] as $i => $sides) {
            $row = $scan->rows[$i];
            self::assertNull($row->cannot, $row->row);
            foreach ($sides as $k => $long) {
                // It is drawn stitch by stitch: its first and last one lie within 0.4 of where it begins and ends.
                self::assertEqualsWithDelta($long - 0.4, $row->readings['sides'][$k]?->value, 0.4, "{$row->row}, side $k");
            }
        }
        // Cloth may show between stitches so far apart: how much of it is left to the eye. One bar lies over one side only.
        self::assertSame(['sides', 'gap', 'edge', 'bars'], array_keys($scan->rows[2]->readings));
        self::assertSame(0.0, $scan->rows[2]->readings['bars'][0]?->value);
        self::assertEqualsWithDelta(2 * 1.64 - 2.38 + 0.48, $scan->rows[2]->readings['gap'][0]?->value, 0.3);
        $bare = self::scan(self::piece(120.0, 80.0), 'buttonhole');
        self::assertSame([[], [], []], array_map(fn (ScannedRow $r): array => $r->readings, $bare->rows));
    }

    public function test_a_buttonhole_that_is_closed_and_has_both_bars_and_one_that_has_none(): void
    {
        $piece = self::piece(120.0, 80.0);
        $dense = fn (float $x, float $a, float $b, float $wide): array => ['stitch' => 'zigzag', 'edge' => 'left', 'at' => $x, 'length' => 0.27, 'width' => $wide, 'drift' => 0.0, 'wobble' => 0.0, 'from' => $a, 'to' => $b];
        $piece->rows = [$dense(88.3, 28.0, 49.0, 2.4), $dense(91.7, 28.0, 49.0, 2.4)];
        self::assertSame([0.0, 0.0], self::seen($piece), 'no bars, no cloth');
        array_push($piece->rows, $dense(90.0, 28.0, 29.8, 5.8), $dense(90.0, 47.2, 49.0, 5.8));
        self::assertSame([1.0, 0.0], self::seen($piece), 'both bars, no cloth');
    }

    /** @return array{float|null, float|null} whether its bars span, and how much cloth shows */
    private static function seen(DrawnPiece $piece): array
    {
        $readings = self::scan($piece, 'buttonhole')->rows[2]->readings;

        return [($readings['bars'][0] ?? null)?->value, ($readings['shows'][0] ?? null)?->value];
    }

    /** A hem folded up twice, wrong side up: 18 to 22 mm deep, its row 1 to 4 mm from the inner fold. */
    private static function hem(float $depth, float $away, float $shade, float $dpi = self::DPI): DrawnPiece
    {
        $piece = self::piece(150.0, 150.0);
        $piece->dpi = $dpi;
        $piece->folds = $shade === 0.0 ? [] : [['edge' => 'bottom', 'at' => $depth, 'drift' => 0.6, 'shade' => $shade]];
        $piece->rows[] = ['stitch' => 'straight', 'edge' => 'bottom', 'at' => $depth - $away, 'length' => 3.0, 'width' => 0.0, 'drift' => 0.1, 'wobble' => 0.15, 'from' => 6.0, 'to' => 144.0];

        return $piece;
    }

    public function test_a_row_beside_a_fold_by_its_shadow_or_its_light(): void
    {
        foreach ([[20.0, 2.1, -40.0, self::DPI], [21.4, 3.4, 30.0, 220.0], [18.8, 1.2, -22.0, 130.0]] as $i => [$depth, $away, $shade, $dpi]) {
            $piece = self::hem($depth, $away, $shade, $dpi);
            [$piece->cloth, $piece->thread, $piece->lid] = [[[226, 218, 204], [30, 60, 120], [40, 42, 46]], [[60, 58, 66], [240, 238, 230], [235, 235, 235]], [[120, 130, 150], [230, 220, 210], [235, 235, 235]]][$i];
            $sampler = self::lesson('double-hem')->sampler;
            $scan = SamplerScan::read(new Sampled(Raster::read($piece->draw(11 + $i)), 25.4 / $dpi), $sampler, 'panel');
            self::assertNull($scan->cannot);
            $row = $scan->rows[0];
            self::assertSame(['distance', 'spread', 'depth'], array_keys($row->readings));
            $far = [];
            foreach ([30.0, 60.0, 90.0, 120.0] as $k => $at) {
                $fold = $depth + 0.6 * ($at / 150.0 - 0.5);
                $far[] = $fold - $piece->allowance(0, $at);
                foreach (['distance' => $far[$k], 'depth' => $fold] as $reading => $is) {
                    $read = $row->readings[$reading][$k];
                    self::assertNotNull($read);
                    self::assertEqualsWithDelta($is, $read->value, 0.2, "$reading at $at");
                    self::assertLessThan(3.0, abs($is - $read->value) / $read->u, "$reading at $at");
                }
            }
            self::assertEqualsWithDelta(max($far) - min($far), $row->readings['spread'][0]?->value, 0.15);
        }
    }

    public function test_a_fold_that_is_not_seen_is_not_told_nor_a_stripe_taken_for_it(): void
    {
        foreach (['', 'across'] as $stripes) {
            $piece = self::hem(20.0, 2.0, 0.0);
            $piece->stripes = $stripes;
            $row = self::scan($piece, 'double-hem')->rows[0];
            self::assertSame([], $row->readings, $stripes);
            self::assertContains($row->cannot, $stripes === '' ? [CannotRead::NoFold] : [CannotRead::NoFold, CannotRead::WhichLine, CannotRead::NoRow, CannotRead::NoStitches]);
        }
    }

    public function test_how_a_buttonhole_lies_to_its_edge_and_how_close_the_points_of_its_sides_are(): void
    {
        $piece = self::piece(120.0, 80.0);
        $piece->dpi = 300.0;
        $sampler = self::lesson('buttonhole')->sampler;
        $side = fn (float $x, float $wide, float $long, float $from = 28.0, float $to = 49.0): array => ['stitch' => 'zigzag', 'edge' => 'left', 'at' => $x, 'length' => $long, 'width' => $wide, 'drift' => 4.0, 'wobble' => 0.0, 'from' => $from, 'to' => $to];
        // Two strokes to a point: 20 and 17 in 10 mm. It leans by a millimetre over its length.
        $piece->rows = [$side(88.4, 2.4, 0.25), $side(91.6, 2.4, 0.294), $side(90.0, 5.6, 0.3, 28.0, 29.6), $side(90.0, 5.6, 0.3, 47.4, 49.0)];
        $row = SamplerScan::read(new Sampled(Raster::read($piece->draw(3)), 25.4 / 300.0), $sampler, 'scrap')->rows[2];
        self::assertSame([20.0, 17.0], self::values($row, 'density'));
        foreach ([28.0, 49.0] as $i => $at) {
            $read = $row->readings['edge'][$i];
            $is = 120.0 - 90.0 - 4.0 * ($at / 80.0 - 0.5);
            self::assertNotNull($read);
            self::assertEqualsWithDelta($is, $read->value, 0.2);
            self::assertLessThan(3.0, abs($is - $read->value) / $read->u);
        }
        // A coarser picture shows every second one at best.
        $piece->dpi = 150.0;
        $coarse = SamplerScan::read(new Sampled(Raster::read($piece->draw(3)), 25.4 / 150.0), $sampler, 'scrap')->rows[2];
        self::assertArrayNotHasKey('density', $coarse->readings);
        self::assertArrayHasKey('edge', $coarse->readings);
    }

    public function test_three_buttonholes_in_a_row(): void
    {
        $piece = self::piece(70.0, 140.0);
        foreach ([[35.3, 15.2], [34.6, 55.9], [35.0, 94.4]] as [$at, $from]) {
            $side = fn (float $x): array => ['stitch' => 'zigzag', 'edge' => 'left', 'at' => $x, 'length' => 0.25, 'width' => 2.4, 'drift' => 0.0, 'wobble' => 0.0, 'from' => $from, 'to' => $from + 21.0];
            array_push($piece->rows, $side($at - 1.6), $side($at + 1.6));
        }
        $scan = self::scan($piece, 'three-alike');
        self::assertSame(['first', 'second', 'third', 'row'], array_map(fn (ScannedRow $r): string => $r->row, $scan->rows));
        self::assertEqualsWithDelta([40.7, 38.5], self::values($scan->rows[3], 'apart'), 0.35);
        self::assertEqualsWithDelta([35.3, 34.6, 35.0], self::values($scan->rows[3], 'centred'), 0.15);
    }

    public function test_lessons_say_what_a_picture_tells_of_them(): void
    {
        self::assertSame(['a', 'b'], SamplerScan::pieces(self::lesson('guides')->sampler));
        // Folded, drawn up, over an edge, or told by the eye: left to the ruler.
        self::assertSame(['panel'], SamplerScan::pieces(self::lesson('double-hem')->sampler));
        foreach (['gathers', 'edge-finish', 'two-faces', 'curve-and-corner', 'sew-a-button'] as $other) {
            self::assertSame([], SamplerScan::pieces(self::lesson($other)->sampler), $other);
        }
    }
}
