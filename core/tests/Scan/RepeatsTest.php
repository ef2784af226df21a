<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Scan\Repeats;
use OpenSeam\Core\Scan\Signal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How a signal repeats, on signals whose period is known; that a periodic signal is most alike to itself a period on is what autocorrelation is. */
final class RepeatsTest extends TestCase
{
    private static function noise(): float
    {
        // The sum of twelve uniform numbers less six is as good as normal.
        $sum = -6.0;
        for ($i = 0; $i < 12; $i++) {
            $sum += mt_rand() / mt_getrandmax();
        }

        return $sum;
    }

    /**
     * Dashes with gaps, as stitches lie.
     *
     * @return list<float> of mean 0
     */
    private static function dashes(float $period, int $n, float $noise, float $gap = 0.25, float $jitter = 0.0): array
    {
        $signal = [];
        $end = $period * mt_rand() / mt_getrandmax();
        for ($i = 0; $i < $n; $i++) {
            while ($i > $end) {
                $end += $period * (1 + $jitter * (mt_rand() / mt_getrandmax() - 0.5));
            }
            $signal[] = ($end - $i > $gap * $period ? 1.0 : 0.0) + $noise * self::noise();
        }
        $mean = array_sum($signal) / $n;

        return array_map(fn (float $s): float => $s - $mean, $signal);
    }

    /** @return iterable<string, array{float, float}> */
    public static function periods(): iterable
    {
        foreach ([9.0, 12.7, 25.0, 33.33, 48.2, 61.5] as $period) {
            foreach ([0.0, 0.25, 0.5] as $noise) {
                yield "$period steps, noise $noise" => [$period, $noise];
            }
        }
    }

    /** Every second gap falls between two pixels: then a signal is most like itself two stitches on, and which of both is one stitch is not told. */
    public function test_two_stitches_are_never_taken_for_one(): void
    {
        foreach ([16, 20, 31] as $period) {
            foreach ([0.3, 0.45, 0.6, 0.8] as $weaker) {
                $signal = [];
                for ($i = 0; $i < 900; $i++) {
                    $near = exp(-(((($i + 8) % $period) - 8) ** 2) / 6);
                    $signal[] = -$near * (intdiv($i + 8, $period) % 2 === 0 ? 1.0 : $weaker);
                }
                $mean = array_sum($signal) / count($signal);
                $found = Repeats::find(array_map(fn (float $s): float => $s - $mean, $signal), 8, 70, 0.3);
                self::assertTrue($found === null || abs($found[0] - $period) < 0.5, "$period, $weaker: ".($found[0] ?? 'nothing'));
            }
        }
    }

    #[DataProvider('periods')]
    public function test_the_period_is_found_to_its_own_uncertainty(float $period, float $noise): void
    {
        mt_srand((int) ($period * 100 + $noise * 10));
        $found = Repeats::find(self::dashes($period, 900, $noise), 8, 70);
        self::assertNotNull($found);
        self::assertEqualsWithDelta($period, $found[0], max(0.006 * $period, 3 * $found[1]));
        self::assertLessThan(0.03 * $period, $found[1], 'it says that it knows well');
    }

    public function test_stitches_are_never_quite_the_same(): void
    {
        mt_srand(3);
        for ($time = 0; $time < 20; $time++) {
            $period = 15 + 2.0 * $time;
            $found = Repeats::find(self::dashes($period, 1_200, 0.2, 0.2, 0.08), 8, 70);
            self::assertNotNull($found, "$period");
            self::assertEqualsWithDelta(1.0, $found[0] / $period, 0.02, "$period");
        }
    }

    public function test_one_stitch_missed_here_and_there_does_not_double_it(): void
    {
        mt_srand(4);
        $signal = self::dashes(25.0, 1_000, 0.2);
        // The gap after every eleventh is not there.
        for ($i = 0; $i < 1_000; $i++) {
            $signal[$i] = (int) ($i / 25) % 11 === 5 ? max($signal[$i], 0.2) : $signal[$i];
        }
        $found = Repeats::find($signal, 8, 70);
        self::assertNotNull($found);
        self::assertEqualsWithDelta(25.0, $found[0], 0.5);
    }

    public function test_what_does_not_repeat_is_not_found_to(): void
    {
        mt_srand(5);
        $found = 0;
        for ($time = 0; $time < 40; $time++) {
            $signal = array_map(fn (): float => self::noise(), range(1, 600));
            $found += Repeats::find($signal, 8, 70) === null ? 0 : 1;
            // Shades that wander are no repeat either.
            $wander = [0.0];
            for ($i = 1; $i < 600; $i++) {
                $wander[] = 0.97 * $wander[$i - 1] + self::noise();
            }
            $slow = Signal::smoothed($wander, 40);
            $found += Repeats::find(array_map(fn (float $w, float $m): float => $w - $m, $wander, $slow), 8, 70) === null ? 0 : 1;
        }
        self::assertLessThanOrEqual(4, $found, 'of eighty');
        self::assertNull(Repeats::find(array_fill(0, 400, 0.0), 8, 70), 'nothing at all');
        self::assertNull(Repeats::find([1.0, -1.0, 1.0], 8, 70), 'too short');
    }

    public function test_a_sine_is_found_exactly(): void
    {
        foreach ([10.0, 21.3, 47.9] as $period) {
            $found = Repeats::find(array_map(fn (int $i): float => sin(2 * M_PI * $i / $period), range(0, 999)), 8, 70);
            self::assertNotNull($found);
            self::assertEqualsWithDelta($period, $found[0], 0.02);
        }
    }
}
