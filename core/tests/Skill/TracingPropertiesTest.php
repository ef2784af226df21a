<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use DateTimeImmutable;
use InvalidArgumentException;
use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Measure\StitchLength;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\KnowledgeTracing;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use PHPUnit\Framework\TestCase;

/** What must hold for any numbers, not for chosen ones. */
final class TracingPropertiesTest extends TestCase
{
    public function test_a_chance_stays_a_chance_and_right_never_counts_against(): void
    {
        mt_srand(31);
        for ($i = 0; $i < 500; $i++) {
            $slip = mt_rand(0, 49) / 100;
            $tracing = new KnowledgeTracing(TracingParameters::of(mt_rand(0, 100) / 100, $slip, mt_rand(0, 49) / 100, mt_rand(0, 100) / 100));
            $known = mt_rand(0, 100) / 100;
            $right = $tracing->afterSample($known, [1.0]);
            $wrong = $tracing->afterSample($known, [0.0]);
            foreach ([$right, $wrong] as $p) {
                self::assertGreaterThanOrEqual(0.0, $p);
                self::assertLessThanOrEqual(1.0, $p + 0.0);
            }
            self::assertGreaterThanOrEqual($wrong - 1e-12, $right);
        }
    }

    /** Bayes does not mind the order of hard evidence within one sample. */
    public function test_order_within_a_sample_does_not_matter(): void
    {
        $tracing = new KnowledgeTracing(TracingParameters::usual());
        self::assertEqualsWithDelta($tracing->afterSample(0.4, [1.0, 0.0, 1.0]), $tracing->afterSample(0.4, [0.0, 1.0, 1.0]), 1e-12);
    }

    /** The posterior averages to the prior: what a sample is expected to bring is the learning step alone. */
    public function test_expected_rise_is_the_learning_step(): void
    {
        foreach ([0.1, 0.3, 0.62, 0.9] as $p) {
            $tracing = new KnowledgeTracing(TracingParameters::of(0.3, 0.1, 0.2, 0.15));
            $right = $p * 0.9 + (1 - $p) * 0.2;
            $expected = $right * $tracing->afterSample($p, [1.0]) + (1 - $right) * $tracing->afterSample($p, [0.0]);
            self::assertEqualsWithDelta($p + (1 - $p) * 0.15, $expected, 1e-12);
        }
    }

    public function test_impossible_evidence_teaches_nothing_but_the_step(): void
    {
        $never = new KnowledgeTracing(TracingParameters::of(0.0, 0.0, 0.0, 0.0));
        self::assertSame(1.0, $never->afterSample(1.0, [0.0]));
        self::assertSame(0.0, $never->afterSample(0.0, [1.0]));
    }

    public function test_weights_outside_are_refused(): void
    {
        foreach ([-0.1, 1.1, NAN] as $weight) {
            try {
                (new KnowledgeTracing(TracingParameters::usual()))->afterSample(0.3, [$weight]);
                self::fail("$weight was taken.");
            } catch (InvalidArgumentException $e) {
                self::assertStringContainsString('from 0 to 1', $e->getMessage());
            }
        }
    }

    /** Fading in two steps is fading in one: no matter how often it is looked at. */
    public function test_fading_does_not_depend_on_how_often_one_looks(): void
    {
        $book = new StandingLedger(TracingTable::same(TracingParameters::usual()));
        $start = new DateTimeImmutable('2030-01-01');
        $middle = $start->modify('+17 days');
        $end = $start->modify('+50 days');
        self::assertEqualsWithDelta($book->fade('seam', 0.97, $start, $end), $book->fade('seam', $book->fade('seam', 0.97, $start, $middle), $middle, $end), 1e-12);
    }

    public function test_standings_are_the_same_however_the_samples_are_split_by_skill(): void
    {
        $book = new StandingLedger(TracingTable::same(TracingParameters::usual()));
        $at = fn (int $d): DateTimeImmutable => new DateTimeImmutable("2030-01-0$d");
        $both = $book->standings([new Evidence('1', $at(1), ['a' => [1.0], 'b' => [0.0]]), new Evidence('2', $at(2), ['b' => [1.0, 1.0]])], $at(3));
        $alone = $book->standings([new Evidence('1', $at(1), ['b' => [0.0]]), new Evidence('2', $at(2), ['b' => [1.0, 1.0]])], $at(3));
        self::assertEquals($alone['b'], $both['b']);
        self::assertSame([1.0], $both['a']->showings);
        self::assertSame([], $book->standings([], $at(1)));
    }

    /** More stitches counted, less uncertainty; always at least the ruler's own share. */
    public function test_uncertainty_shrinks_with_the_count(): void
    {
        $last = INF;
        for ($n = 5; $n <= 100; $n += 5) {
            $u = StitchLength::counted($n, $n * 2.5, Tolerance::around(2.5, 0.2, 0.4))->reading->u;
            self::assertLessThan($last, $u);
            $last = $u;
        }
        $this->expectException(InvalidArgumentException::class);
        StitchLength::counted(0, 25, Tolerance::around(2.5, 0.2, 0.4));
    }

    /** Least squares: residuals sum to nothing, and no other line nearby fits better. */
    public function test_no_other_line_fits_better(): void
    {
        mt_srand(41);
        $xs = array_map(fn (): float => mt_rand(0, 1000) / 10, range(1, 20));
        $ys = array_map(fn (float $x): float => 3 + 0.4 * $x + mt_rand(-50, 50) / 10, $xs);
        $fit = LeastSquares::fit($xs, $ys);
        $sse = fn (float $a, float $b): float => array_sum(array_map(fn (float $x, float $y): float => ($y - $a - $b * $x) ** 2, $xs, $ys));
        self::assertEqualsWithDelta(0.0, array_sum(array_map(fn (float $x, float $y): float => $y - $fit->at($x), $xs, $ys)), 1e-9);
        foreach ([[0.01, 0.0], [-0.01, 0.0], [0.0, 0.001], [0.0, -0.001], [0.1, -0.01]] as [$da, $db]) {
            self::assertGreaterThan($fit->sumSquaresResidual, $sse($fit->intercept + $da, $fit->slope + $db));
        }
    }
}
