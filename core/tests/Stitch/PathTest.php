<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Stitch;

use InvalidArgumentException;
use OpenSeam\Core\Sampler\PaperSheet;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\Path;
use OpenSeam\Core\Stitch\RowStitches;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use PHPUnit\Framework\TestCase;

/** Curves against the formulas of plane geometry. */
final class PathTest extends TestCase
{
    private static function stitch(string $id, float $length, float $width = 0.0, float $position = 0.0): StitchSettings
    {
        return StitchSettings::of(StitchBook::standard()->get($id), $length, $width, $position);
    }

    public function test_lengths_of_curves(): void
    {
        // r·φ, 2πr, and an Archimedean spiral by its integral to first order: 2π·n·(mean radius).
        self::assertEqualsWithDelta(50 * M_PI / 2, Path::arc(60, 90, 50, 180, 90)->lengthMm(), 0.01);
        self::assertEqualsWithDelta(2 * M_PI * 35, Path::arc(70, 70, 35, 0, 360)->lengthMm(), 0.02);
        self::assertEqualsWithDelta(2 * M_PI * 3 * (60 + 30) / 2, Path::roundSpiral(0, 0, 60, 10, 3)->lengthMm(), 2.0);
        $s = Path::sCurve([0, 50], [100, 50], 20);
        self::assertEqualsWithDelta([0.0, 50.0], $s->corners[0], 1e-9);
        self::assertEqualsWithDelta([100.0, 50.0], $s->corners[count($s->corners) - 1], 1e-9);
        self::assertEqualsWithDelta([30.0, 70.0], [min(array_column($s->corners, 1)), max(array_column($s->corners, 1))], 0.05);
    }

    public function test_stitches_on_an_arc_lie_on_it_and_keep_their_length(): void
    {
        $points = RowStitches::on(Path::arc(60, 90, 50, 180, 90), self::stitch('straight', 2.5));
        foreach ($points as $i => [$x, $y]) {
            self::assertEqualsWithDelta(50.0, hypot($x - 60, $y - 90), 0.01);
            $i === 0 || self::assertEqualsWithDelta(2.5, hypot($x - $points[$i - 1][0], $y - $points[$i - 1][1]), 0.01);
        }
    }

    /** Round a circle the swing reaches as far inside as outside. */
    public function test_a_zigzag_round_a_circle(): void
    {
        $r = array_map(fn (array $p): float => hypot($p[0] - 70, $p[1] - 70), RowStitches::on(Path::arc(70, 70, 35, 0, 360), self::stitch('satin', 0.4, 3.5)));
        self::assertEqualsWithDelta(35 - 1.75, min($r), 0.02);
        self::assertEqualsWithDelta(35 + 1.75, max($r), 0.02);
    }

    /** On a straight line, bending changes nothing; a needle to the left sews to the left. */
    public function test_a_straight_path_is_the_pattern_itself(): void
    {
        $settings = self::stitch('zigzag', 2, 4, -1);
        $flat = NeedlePoints::along($settings, 40);
        // Downwards on the cloth, left of the way is to the right of the page.
        foreach (RowStitches::on(Path::through([[10, 5], [10, 45]]), $settings) as $i => [$x, $y]) {
            self::assertEqualsWithDelta([10 - $flat[$i][1], 5 + $flat[$i][0]], [$x, $y], 1e-9);
        }
    }

    public function test_places_on_corners_and_beyond_the_ends(): void
    {
        $path = Path::through([[0, 0], [10, 0], [10, 10]]);
        $places = $path->places([0.0, 4.0, 10.0, 15.0, 22.0]);
        self::assertEqualsWithDelta([[0, 0], [4, 0], [10, 0], [10, 5], [10, 12]], array_column($places, 0), 1e-9);
        self::assertEqualsWithDelta([0.0, 1.0], $places[3][1], 1e-9);
    }

    public function test_curves_that_cannot_be(): void
    {
        foreach ([fn () => Path::arc(0, 0, 0, 0, 90), fn () => Path::arc(0, 0, 5, 90, 90), fn () => Path::roundSpiral(0, 0, 20, 10, 3), fn () => Path::sCurve([1, 1], [1, 1], 5)] as $act) {
            try {
                $act();
                self::fail('It was drawn.');
            } catch (InvalidArgumentException $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    /** Lanes of 20 mm, curves that tighten, dots to stop on; mirrored for the left hand; all on the page. */
    public function test_paper_drive_sheets(): void
    {
        foreach ([[210.0, 297.0], [215.9, 279.4]] as [$width, $height]) {
            $right = PaperSheet::all($width, $height);
            $left = PaperSheet::all($width, $height, true);
            self::assertSame(['straight-lanes', 'curves', 'square-spiral', 'round-spiral', 'stop-dots'], array_map(fn (PaperSheet $s): string => $s->id, $right));
            foreach ($right as $n => $sheet) {
                foreach ($sheet->lines as $i => $line) {
                    foreach ($line->corners as $k => [$x, $y]) {
                        self::assertTrue($x > 10 && $x < $width - 10 && $y > 20 && $y < $height - 25, "{$sheet->id} $x $y");
                        self::assertEqualsWithDelta($width - $x, $left[$n]->lines[$i]->corners[$k][0], 1e-9);
                    }
                }
            }
            self::assertEqualsWithDelta(20.0, $right[0]->lines[1]->corners[0][0] - $right[0]->lines[0]->corners[0][0], 1e-9);
            $curves = array_map(fn (Path $p): float => $p->lengthMm(), $right[1]->lines);
            $falling = $curves;
            rsort($falling);
            self::assertSame($falling, $curves);
            self::assertGreaterThan(15, count($right[4]->dots));
        }
    }
}
