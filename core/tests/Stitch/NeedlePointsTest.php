<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Stitch;

use Eris\Generators;
use Eris\TestTrait;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\SewingTime;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\Stitch\TensionPicture;
use OpenSeam\Core\Stitch\ThreadUse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NeedlePointsTest extends TestCase
{
    use TestTrait;

    /** @return list<array{float, float}> */
    private static function points(string $stitch, float $row, ?float $length = null, ?float $width = null, float $position = 0.0): array
    {
        return NeedlePoints::along(StitchSettings::of(StitchBook::standard()->get($stitch), $length, $width, $position), $row);
    }

    /** Each stroke of a zigzag is the hypotenuse over feed and swing: √(L²+W²). */
    public function test_zigzag_path_is_the_sum_of_its_chords(): void
    {
        $this->forAll(Generators::choose(2, 60), Generators::choose(5, 90), Generators::choose(-20, 20), Generators::choose(1, 200))
            ->then(function (int $l, int $w, int $p, int $strokes): void {
                [$length, $width] = [$l / 10, $w / 10];
                $points = self::points('zigzag', $length * $strokes, $length, $width, $p / 10);
                self::assertCount($strokes + 1, $points);
                self::assertEqualsWithDelta($strokes * sqrt($length ** 2 + $width ** 2), NeedlePoints::pathMm($points), 1e-9 * $strokes);
            });
    }

    /** @return iterable<string, array{string}> */
    public static function stitches(): iterable
    {
        foreach (StitchBook::standard()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('stitches')]
    public function test_stays_inside_swing_and_row_and_follows_the_needle(string $stitch): void
    {
        $kind = StitchBook::standard()->get($stitch);
        $here = self::points($stitch, 24.0);
        $moved = self::points($stitch, 24.0, null, null, 1.5);
        self::assertGreaterThan(4, count($here));
        // The eye of a keyhole is wider than its sides by design.
        $half = $kind->width->usual / 2 * ($kind->end === 'keyhole' ? 1.4 : 1.0);
        foreach ($here as $i => [$along, $across]) {
            self::assertGreaterThanOrEqual(-1e-9, $along);
            self::assertLessThanOrEqual(24.0 + 1e-9, $along);
            self::assertLessThanOrEqual($half + 1e-9, abs($across), "point $i");
            self::assertEqualsWithDelta($across + 1.5, $moved[$i][1], 1e-9);
        }
        if ($kind->swings()) {
            self::assertEqualsWithDelta($kind->width->usual / 2, max(array_map(fn (array $p): float => abs($p[1]), array_filter($here, fn (array $p): bool => $kind->end !== 'keyhole' || $p[0] < 10))), 0.02);
        }
    }

    public function test_patterns_of_the_usual_stitches(): void
    {
        self::assertSame([[0.0, 0.0], [2.5, 0.0], [5.0, 0.0], [7.5, 0.0], [10.0, 0.0]], self::points('straight', 10, 2.5));
        self::assertSame([[0.0, -2.0], [1.0, 2.0], [2.0, -2.0], [3.0, 2.0]], self::points('zigzag', 3.2, 1, 4));
        // Two forward, one back: each spot is sewn over.
        self::assertSame([0.0, 2.0, 0.0, 2.0, 4.0, 2.0, 4.0], array_column(self::points('stretch-straight', 4, 2), 0));
        // One cycle of six strokes crosses once and comes back, in thirds.
        $steps = array_column(self::points('multi-step-zigzag', 6, 1, 6), 1);
        foreach ([-3, -1, 1, 3, 1, -1, -3] as $i => $across) {
            self::assertEqualsWithDelta($across, $steps[$i], 1e-9);
        }
        // A blind hem stays on the allowance but for one swing a cycle.
        $hem = array_column(self::points('blind-hem', 24, 2, 3), 1);
        self::assertSame(2, count(array_filter($hem, fn (float $a): bool => $a < 0)));
        // A button is sewn on the spot.
        self::assertSame([0.0], array_values(array_unique(array_column(self::points('button', 1), 0))));
    }

    public function test_a_buttonhole_has_two_sides_and_two_bars(): void
    {
        $points = self::points('buttonhole', 20.0, 0.5, 5.0);
        $sides = fn (callable $keep): array => array_values(array_filter($points, fn (array $p): bool => $p[0] > 4 && $p[0] < 16 && $keep($p[1])));
        // Nothing crosses the cut between the bars; both sides are alike.
        self::assertSame([], $sides(fn (float $a): bool => abs($a) < 0.3 - 1e-9));
        self::assertSame(count($sides(fn (float $a): bool => $a < 0)), count($sides(fn (float $a): bool => $a > 0)));
        // First down the left side, then back up the right.
        $left = $sides(fn (float $a): bool => $a < 0);
        $right = $sides(fn (float $a): bool => $a > 0);
        self::assertLessThan($left[count($left) - 1][0], $left[0][0]);
        self::assertGreaterThan($right[count($right) - 1][0], $right[0][0]);
        // Bars span the whole width at both ends.
        foreach ([fn (array $p): bool => $p[0] <= 3 + 1e-9, fn (array $p): bool => $p[0] >= 17 - 1e-9] as $end) {
            $across = array_column(array_filter($points, $end), 1);
            self::assertSame([-2.5, 2.5], [min($across), max($across)]);
        }
    }

    public function test_a_keyhole_has_a_wide_eye_at_one_end_only(): void
    {
        $points = self::points('buttonhole-keyhole', 26.0);
        $widest = fn (callable $end): float => max(array_map(fn (array $p): float => abs($p[1]), array_filter($points, $end)));
        self::assertGreaterThan($widest(fn (array $p): bool => $p[0] < 10) + 0.5, $widest(fn (array $p): bool => $p[0] > 17));
    }

    /** @return iterable<string, array{callable(): mixed, string, string}> */
    public static function wrong(): iterable
    {
        yield 'length 0' => [fn () => self::points('straight', 10, 0.0), 'length_mm', 'from 0.2 to 12'];
        yield 'satin too long' => [fn () => self::points('satin', 10, 2.0), 'length_mm', 'from 0.1 to 1'];
        yield 'negative width' => [fn () => self::points('zigzag', 10, 2, -1), 'width_mm', 'from 0 to 12'];
        yield 'no number' => [fn () => self::points('zigzag', 10, NAN, 3), 'length_mm', 'from'];
        yield 'position' => [fn () => self::points('zigzag', 10, 2, 3, 5), 'needle_position_mm', 'from -4.5 to 4.5'];
        yield 'row of nothing' => [fn () => self::points('zigzag', 0, 2, 3), 'row_mm', 'longer than 0'];
        yield 'row of a thousand million' => [fn () => self::points('zigzag', 1e9, 2, 3), 'row_mm', '10000'];
        yield 'too many stitches' => [fn () => self::points('satin', 10_000, 0.1, 3), 'row_mm', '25000 stitches'];
        yield 'buttonhole too short' => [fn () => self::points('buttonhole', 3.5, 0.5, 5), 'row_mm', 'at least 4.0'];
        yield 'button with a length' => [fn () => self::points('button', 5, 1), 'length_mm', 'is 0'];
        yield 'unknown' => [fn () => self::points('cable', 5), 'stitch', 'Known: straight'];
    }

    /** @param  callable(): mixed  $act */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_sewn_is_refused_by_name(callable $act, string $field, string $said): void
    {
        try {
            $act();
            self::fail('It was drawn.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
        }
    }

    /** A 300 mm satin row of about 1,000 points stays whole to its last stitch. */
    public function test_no_rounding_adds_up_along_a_long_row(): void
    {
        $points = self::points('satin', 300, 0.3, 5);
        self::assertCount(1001, $points);
        self::assertEqualsWithDelta(300.0, $points[1000][0], 1e-9);
        self::assertEqualsWithDelta(2e4 / 7, count(self::points('zigzag', 10_000, 3.5, 3)) - 1, 1);
    }

    /**
     * Handbook ratio for class 301 at 7 stitches per cm: 2.5 (thread maker's
     * consumption table, from memory), with a stack of about 0.36 mm; class 304
     * about 7 at the same density and a 4–5 mm swing (the same, from memory).
     */
    public function test_thread_ratios_of_the_handbooks(): void
    {
        self::assertEqualsWithDelta(2.5, ThreadUse::ofSeam(10 / 7, 0, 0.357, 1000)->ratio, 0.005);
        self::assertEqualsWithDelta(7.0, ThreadUse::ofSeam(10 / 7, 4.5, 0.357, 1000)->ratio, 0.3);
        // The drawn points use what the formula says.
        $points = self::points('zigzag', 200, 2, 3.5);
        $use = ThreadUse::ofPoints($points, 0.6, 200);
        $formula = ThreadUse::ofSeam(2, 3.5, 0.6, 200);
        self::assertEqualsWithDelta($formula->topMm, $use->topMm, 1e-9);
        self::assertEqualsWithDelta($formula->ratio, $use->ratio, 1e-12);
    }

    /** ISO 4915:1991, stitch types: 301 lockstitch, 304 zigzag lockstitch; from memory. */
    public function test_class_numbers(): void
    {
        $iso = fn (string $id): ?string => StitchBook::standard()->get($id)->iso4915;
        self::assertSame(['301', '301', '304', null], [$iso('straight'), $iso('basting'), $iso('zigzag'), $iso('wave')]);
        foreach (StitchBook::standard()->all() as $kind) {
            self::assertSame($kind->iso4915 !== null, str_contains($kind->isoSource, 'memory'), $kind->id);
        }
    }

    /** Craft: low number, loose top, loops underneath; two notches, then it is no tension fault. Common practice, no source. */
    public function test_tension_looks_and_moves(): void
    {
        $look = fn (float $top, float $bobbin = 0.0): array => [($p = TensionPicture::of($top, $bobbin))->look, $p->rightSide, $p->underside, $p->move];
        self::assertSame(['balanced', 'even', 'even', 'none'], $look(0));
        self::assertSame(['top-loose', 'even', 'dots', 'notch-up'], $look(-2));
        self::assertSame(['top-tight', 'dots', 'even', 'notch-down'], $look(2));
        self::assertSame(['top-loose', 'even', 'loops', 'rethread'], $look(-3));
        self::assertSame(['balanced', 'even', 'even', 'none'], $look(1.5, 1.5));
        self::assertSame([0.0, 0.5, 1.0], [TensionPicture::of(-2, 0)->lock, TensionPicture::of(0, 0)->lock, TensionPicture::of(2, 0)->lock]);
    }

    public function test_sewing_time_grows_with_strokes_and_turns(): void
    {
        self::assertEqualsWithDelta(0.5 + 400 / 200, SewingTime::minutes(400, 800), 1e-12);
        self::assertEqualsWithDelta(0.8, SewingTime::minutes(400, 800, 0.25, 8) - SewingTime::minutes(400, 800, 0.25, 0), 1e-12);
    }
}
