<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Stitch;

use OpenSeam\Core\Buttonhole\Button;
use OpenSeam\Core\Buttonhole\ButtonShape;
use OpenSeam\Core\Buttonhole\Passing;
use OpenSeam\Core\Buttonhole\Sizing;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A buttonhole as it is drawn: what bars and sides are, measured on its needle points. Geometry; common practice, no source. */
final class ButtonholePointsTest extends TestCase
{
    private const MM = 1e-9;

    /** What is left to cut between the bars is the finished length less both bars, whatever swings a bar has. */
    #[DataProvider('holes')]
    public function test_bars_stay_on_the_spot_and_leave_the_opening_that_was_planned(float $rowMm, int $swings, float $barMm, bool $back): void
    {
        $points = self::drawn('buttonhole', $rowMm, $swings, $barMm, $back);
        [$least, $most] = [min(array_column($points, 0)), max(array_column($points, 0))];
        self::assertEqualsWithDelta([0.0, $rowMm], [$least, $most], self::MM);
        // Where a stroke goes over the gap there is nothing to cut: those lie in the bars alone.
        $over = self::overTheGap($points);
        $cut = array_filter($over, fn (float $at): bool => $at > $barMm + self::MM && $at < $rowMm - $barMm - self::MM);
        self::assertSame([], $cut);
        $inBars = array_filter($over, fn (float $at): bool => $at <= $barMm + self::MM || $at >= $rowMm - $barMm - self::MM);
        self::assertGreaterThanOrEqual(2 * $swings - 2, count($inBars));
    }

    /** @return iterable<array{float, int, float, bool}> */
    public static function holes(): iterable
    {
        foreach ([10.0, 21.0, 34.5] as $row) {
            foreach ([4, 6, 10] as $swings) {
                yield [$row, $swings, 1.5, false];
                yield [$row, $swings, 2.0, true];
            }
        }
    }

    /** The button the hole was sized for passes through what is drawn; the next larger one does not. */
    public function test_the_button_a_hole_was_sized_for_passes_the_drawn_one(): void
    {
        foreach ([[11.0, 2.5], [15.0, 3.0], [18.0, 4.0], [23.0, 4.5]] as [$d, $t]) {
            $button = Button::of(ButtonShape::Flat, $d, $t);
            $points = self::drawn('buttonhole', Sizing::of($button)->finishedMm, 6, Sizing::BAR_MM, false);
            $bars = self::overTheGap($points);
            $middle = (max(array_column($points, 0))) / 2;
            $opening = min(array_filter($bars, fn (float $at): bool => $at > $middle)) - max(array_filter($bars, fn (float $at): bool => $at < $middle));
            self::assertSame(Passing::Passes, Passing::of($opening + 1e-6, $button->halfWrapMm()));
            self::assertSame(Passing::WillNotPass, Passing::of($opening, Button::of(ButtonShape::Flat, $d + 1, $t)->halfWrapMm()));
        }
    }

    /** Begun at the back it is the same hole turned half round: what was sewn first lies at the other end. */
    public function test_the_end_it_starts(): void
    {
        $front = self::drawn('buttonhole', 21, 6, 1.5, false);
        $back = self::drawn('buttonhole', 21, 6, 1.5, true);
        self::assertLessThan(2.0, $front[0][0]);
        self::assertGreaterThan(19.0, $back[0][0]);
        foreach ($front as $i => [$along, $across]) {
            self::assertEqualsWithDelta([21 - $along, -$across], $back[$i], self::MM);
        }
    }

    public function test_straight_rows_come_first_out_and_home_along_both_sides(): void
    {
        $plain = self::drawn('buttonhole', 21, 6, 1.5, false);
        $points = NeedlePoints::along(StitchSettings::of(StitchBook::standard()->get('buttonhole'), null, 5.0, 0.0, 0.6, 6, 1.5, straightFirst: true), 21);
        $rows = array_slice($points, 0, count($points) - count($plain));
        self::assertSame($plain, array_slice($points, count($rows)));
        self::assertEqualsWithDelta([1.5, 1.5], [$rows[0][0], $rows[count($rows) - 1][0]], self::MM);
        $sides = array_values(array_unique(array_map(fn (array $p): string => (string) round($p[1], 6), $rows)));
        self::assertSame(['-1.4', '1.4'], $sides);
    }

    /**
     * Where strokes cross from one side of the gap to the other, along.
     *
     * @param  list<array{float, float}>  $points
     * @return list<float>
     */
    private static function overTheGap(array $points): array
    {
        $over = [];
        for ($i = 1; $i < count($points); $i++) {
            if ($points[$i][1] * $points[$i - 1][1] < 0) {
                array_push($over, $points[$i][0], $points[$i - 1][0]);
            }
        }

        return $over;
    }

    /** @return list<array{float, float}> */
    private static function drawn(string $stitch, float $rowMm, int $swings, float $barMm, bool $back): array
    {
        return NeedlePoints::along(StitchSettings::of(StitchBook::standard()->get($stitch), null, 5.0, 0.0, 0.6, $swings, $barMm, $back), $rowMm);
    }
}
