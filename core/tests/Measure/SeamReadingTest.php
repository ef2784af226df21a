<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Measure;

use InvalidArgumentException;
use OpenSeam\Core\Measure\SeamPattern;
use OpenSeam\Core\Measure\SeamReading;
use OpenSeam\Core\Measure\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SeamReadingTest extends TestCase
{
    private const AT = [15.0, 45.0, 75.0, 105.0, 135.0];

    /** @return iterable<string, array{list<float>, SeamPattern, Verdict}> */
    public static function seams(): iterable
    {
        yield 'on the line' => [[15.9, 15.9, 15.9, 15.9, 15.9], SeamPattern::Good, Verdict::Met];
        yield 'within tolerance' => [[15.5, 16.5, 16.0, 15.0, 16.5], SeamPattern::Good, Verdict::Met];
        yield 'offset' => [[19.0, 19.0, 19.5, 19.0, 19.0], SeamPattern::Offset, Verdict::NotYet];
        yield 'drift' => [[14.0, 14.5, 15.5, 16.0, 17.0], SeamPattern::Drift, Verdict::Met];
        yield 'drift the other way' => [[18.0, 17.0, 16.0, 15.0, 14.0], SeamPattern::Drift, Verdict::Met];
        yield 'wobble' => [[14.0, 18.0, 14.0, 18.0, 14.0], SeamPattern::Wobble, Verdict::Met];
        yield 'last end wanders' => [[16.0, 16.0, 16.0, 16.0, 19.5], SeamPattern::EndWander, Verdict::Met];
        yield 'first end wanders' => [[11.5, 16.0, 16.5, 16.0, 16.0], SeamPattern::EndWander, Verdict::Met];
        yield 'offset outweighs a small drift' => [[18.6, 19.2, 19.8, 20.4, 21.0], SeamPattern::Offset, Verdict::NotYet];
        yield 'near' => [[17.4, 17.4, 17.4, 17.4, 17.4], SeamPattern::Offset, Verdict::Near];
        yield 'at the limit' => [[16.9, 16.9, 16.9, 16.9, 16.9], SeamPattern::Good, Verdict::Unsure];
    }

    /** @param  list<float>  $allowances */
    #[DataProvider('seams')]
    public function test_names_the_pattern(array $allowances, SeamPattern $pattern, Verdict $verdict): void
    {
        $seam = SeamReading::of(self::AT, $allowances, 15.9, 1.0, 2.0);
        self::assertSame($pattern, $seam->pattern);
        self::assertSame($verdict, $seam->judgement->verdict);
    }

    /** The split that the pattern stands on: Σ(y−target)² = n·bias² + slope²·Sxx + SSE. */
    public function test_the_parts_add_up(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 50; $i++) {
            $y = array_map(fn (): float => 10 + mt_rand(0, 120) / 10, self::AT);
            $seam = SeamReading::of(self::AT, $y, 15.9, 1.0, 2.0);
            $whole = array_sum(array_map(fn (float $v): float => ($v - 15.9) ** 2, $y));
            self::assertEqualsWithDelta($whole, 5 * $seam->biasMm ** 2 + $seam->line->sumSquaresSlope + $seam->line->sumSquaresResidual, 1e-9);
        }
    }

    /** However steep, a steady drift is never taken for a wandering end. */
    public function test_a_steady_drift_stays_a_drift(): void
    {
        for ($slope = 0.5; $slope < 6; $slope += 0.1) {
            $seam = SeamReading::of(self::AT, array_map(fn (int $i): float => 15.9 + ($i - 2) * $slope, [0, 1, 2, 3, 4]), 15.9, 1.0, 2.0);
            self::assertSame($slope * 4 > 2.0 + 1e-9 ? SeamPattern::Drift : SeamPattern::Good, $seam->pattern, "slope $slope");
        }
    }

    public function test_order_of_the_readings_does_not_matter(): void
    {
        $one = SeamReading::of(self::AT, [16.0, 16.0, 16.0, 16.0, 20.0], 15.9, 1.0, 2.0);
        $two = SeamReading::of([135.0, 15.0, 105.0, 45.0, 75.0], [20.0, 16.0, 16.0, 16.0, 16.0], 15.9, 1.0, 2.0);
        self::assertSame($one->pattern, $two->pattern);
        self::assertEqualsWithDelta($one->driftMm, $two->driftMm, 1e-9);
    }

    public function test_needs_three_readings_at_two_places(): void
    {
        foreach ([[[1.0, 2.0], [5.0, 5.0]], [[4.0, 4.0, 4.0], [5.0, 6.0, 7.0]]] as [$at, $y]) {
            try {
                SeamReading::of($at, $y, 15.9, 1.0, 2.0);
                self::fail('Too little was taken.');
            } catch (InvalidArgumentException $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }
}
