<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Scan\FoundPiece;
use OpenSeam\Core\Scan\Lid;
use OpenSeam\Core\Scan\PieceEdge;
use OpenSeam\Core\Scan\PieceOutline;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\Sampled;
use PHPUnit\Framework\TestCase;

/** Edges and corners against shapes whose every pixel is worked out: how much of it is cloth. */
final class PieceEdgeTest extends TestCase
{
    /** @param  callable(float, float): float  $cloth  share of cloth at a place in pixels, 0 to 1 */
    private static function picture(int $w, int $h, callable $cloth, int $lid = 40, int $shade = 220): Raster
    {
        $pixels = '';
        for ($y = 0; $y < $h; $y++) {
            for ($x = 0; $x < $w; $x++) {
                $pixels .= chr((int) round($lid + ($shade - $lid) * max(0.0, min(1.0, $cloth($x + 0.5, $y + 0.5)))) + mt_rand(-2, 2));
            }
        }

        return Raster::read("P5 $w $h 255\n".$pixels);
    }

    public function test_between_pixels_a_plane_is_a_plane(): void
    {
        $pixels = '';
        for ($y = 0; $y < 50; $y++) {
            for ($x = 0; $x < 60; $x++) {
                $pixels .= chr(20 + 2 * $x + $y);
            }
        }
        $picture = new Sampled(Raster::read("P5 60 50 255\n".$pixels), 0.1);
        foreach ([[1.0, 1.0], [2.345, 4.321], [5.07, 0.33]] as [$x, $y]) {
            // Pixels are known at their middles; between four of them a plane is exact.
            self::assertEqualsWithDelta(20 + 2 * ($x / 0.1 - 0.5) + ($y / 0.1 - 0.5), $picture->line($x, $y, 0.1, 0.1, 1)[0][0] ?? 0.0, 1e-9);
        }
        self::assertSame([null], $picture->line(-0.1, 2.0, 0.1, 0.0, 1));
        self::assertSame([null], $picture->line(2.0, 5.01, 0.1, 0.0, 1));
        self::assertSame([6.0, 5.0], [round($picture->widthMm(), 9), round($picture->heightMm(), 9)]);
    }

    public function test_an_edge_is_found_to_a_part_of_a_pixel(): void
    {
        mt_srand(1);
        foreach ([[0.0, 0.0], [0.37, 0.02], [0.81, -0.05]] as [$off, $slope]) {
            $edge = fn (float $y): float => 100 + $off + $slope * ($y - 150);
            // A pixel that the edge crosses is as much cloth as lies in it.
            $picture = new Sampled(self::picture(240, 300, fn (float $x, float $y): float => $edge($y) - $x + 0.5), 0.1);
            // The cloth lies to the left of it: going up, it is on the right hand's other side, so it is gone down.
            $found = PieceEdge::find($picture, [10.0, 0.5], [10.0, 29.5]);
            self::assertNotNull($found);
            foreach ([5.0, 15.0, 25.0] as $along) {
                [$x, $y] = $found->place(0.0, $along, 0.0);
                self::assertEqualsWithDelta($edge($y / 0.1) * 0.1, $x, 0.006, "$off, $slope at $along");
            }
            self::assertLessThan(0.03, $found->scatter);
        }
    }

    public function test_threads_that_stick_out_do_not_pull_at_it(): void
    {
        mt_srand(2);
        $threads = array_map(fn (): int => mt_rand(20, 280), range(1, 14));
        $picture = new Sampled(self::picture(240, 300, fn (float $x, float $y): float => $x < 100 || ($x < 130 && array_filter($threads, fn (int $t): bool => abs($t - $y) < 1.5) !== []) ? 1.0 : 0.0), 0.1);
        $found = PieceEdge::find($picture, [10.0, 0.5], [10.0, 29.5]);
        self::assertNotNull($found);
        self::assertEqualsWithDelta(10.0, $found->place(0.0, 15.0, 0.0)[0], 0.03);
    }

    public function test_a_bend_is_known_where_it_is(): void
    {
        mt_srand(3);
        // A millimetre hollow in the middle of thirty.
        $edge = fn (float $y): float => 100 - 10 * (1 - (($y - 150) / 150) ** 2);
        $picture = new Sampled(self::picture(240, 300, fn (float $x, float $y): float => $edge($y) - $x + 0.5), 0.1);
        $found = PieceEdge::find($picture, [10.0, 0.5], [10.0, 29.5]);
        self::assertNotNull($found);
        foreach ([6.0, 15.0, 24.0] as $along) {
            [$bend, $u] = $found->bendAt($along);
            [$x, $y] = $found->place(0.0, $along, $bend);
            self::assertEqualsWithDelta($edge($y / 0.1) * 0.1, $x, 0.12, "at $along");
            self::assertLessThan(0.15, $u);
        }
    }

    public function test_without_a_change_of_shade_there_is_no_edge(): void
    {
        mt_srand(4);
        self::assertNull(PieceEdge::find(new Sampled(self::picture(240, 300, fn (): float => 1.0), 0.1), [10.0, 0.5], [10.0, 29.5]));
        self::assertNull(PieceEdge::find(new Sampled(self::picture(240, 300, fn (float $x): float => $x < 100 ? 1.0 : 0.0), 0.1), [10.0, 0.5], [10.0, 5.0]), 'too short');
    }

    /** A rectangle turned by so much, a pixel at its rim as much cloth as lies in it. */
    private static function turned(float $degrees, float $w, float $h): Raster
    {
        [$c, $s] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];

        return self::picture(420, 400, function (float $x, float $y) use ($c, $s, $w, $h): float {
            [$u, $v] = [$c * ($x - 210) + $s * ($y - 200), -$s * ($x - 210) + $c * ($y - 200)];

            return min($w / 2 - abs($u), $h / 2 - abs($v)) + 0.5;
        });
    }

    public function test_a_rectangle_is_found_however_it_lies(): void
    {
        mt_srand(5);
        foreach ([0.0, 3.0, -7.0, 20.0, -33.0, 44.0] as $degrees) {
            $raster = self::turned($degrees, 230.0, 180.0);
            $small = $raster->small(PieceOutline::SMALL);
            $outline = PieceOutline::find($small, Lid::of($small));
            self::assertInstanceOf(PieceOutline::class, $outline, "$degrees");
            self::assertCount(4, $outline->corners);
            $piece = FoundPiece::in(new Sampled($raster, 0.1));
            self::assertInstanceOf(FoundPiece::class, $piece, "$degrees");
            self::assertEqualsWithDelta(23.0, $piece->widthMm(), 0.05, "$degrees");
            self::assertEqualsWithDelta(18.0, $piece->heightMm(), 0.05, "$degrees");
            [$c, $s] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
            foreach ([[-115, -90], [115, -90], [115, 90], [-115, 90]] as $i => [$u, $v]) {
                self::assertEqualsWithDelta([(210 + $c * $u - $s * $v) * 0.1, (200 + $s * $u + $c * $v) * 0.1], $piece->corners[$i], 0.06, "$degrees, corner $i");
            }
        }
    }

    public function test_along_and_inwards_are_the_same_from_every_edge(): void
    {
        mt_srand(6);
        $piece = FoundPiece::in(new Sampled(self::turned(6.0, 230.0, 180.0), 0.1));
        self::assertInstanceOf(FoundPiece::class, $piece);
        // One place of the piece, told from its four edges.
        $from = [$piece->place('left', 5.0, 8.0), $piece->place('top', 8.0, 5.0), $piece->place('right', 5.0, 15.0), $piece->place('bottom', 8.0, 13.0)];
        foreach ($from as $i => $place) {
            self::assertEqualsWithDelta($from[0], $place, 0.06, "edge $i");
        }
        self::assertEqualsWithDelta($piece->corners[0], $piece->place('left', 0.0, 0.0), 0.02);
        self::assertEqualsWithDelta($piece->corners[3], $piece->place('bottom', 0.0, 0.0), 0.02);
        self::assertEqualsWithDelta([18.0, 23.0], [$piece->long('left'), $piece->deep('left')], 0.06);
    }
}
