<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Reference;

use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\Normal;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\StitchLength;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Skill\KnowledgeTracing;
use OpenSeam\Core\Skill\TracingParameters;
use PHPUnit\Framework\TestCase;

/** The main computations against values from outside the project; each source beside its check. */
final class PublishedValuesTest extends TestCase
{
    /**
     * NIST Statistical Reference Datasets, "Norris" (linear regression, lower
     * difficulty). Certified values as given in the design paper; the data from
     * memory, confirmed by the certified values to all digits.
     */
    public function test_norris(): void
    {
        $y = [0.1, 338.8, 118.1, 888.0, 9.2, 228.1, 668.5, 998.5, 449.1, 778.9, 559.2, 0.3, 0.1, 778.1, 668.8, 339.3, 448.9, 10.8, 557.7, 228.3, 998.0, 888.8, 119.6, 0.3, 0.6, 557.6, 339.3, 888.0, 998.5, 778.9, 10.2, 117.6, 228.9, 668.4, 449.2, 0.2];
        $x = [0.2, 337.4, 118.2, 884.6, 10.1, 226.5, 666.3, 996.3, 448.6, 777.0, 558.2, 0.4, 0.6, 775.5, 666.9, 338.0, 447.5, 11.6, 556.0, 228.1, 995.8, 887.6, 120.2, 0.3, 0.3, 556.8, 339.1, 887.2, 999.0, 779.0, 11.1, 118.3, 229.2, 669.1, 448.9, 0.5];
        $fit = LeastSquares::fit($x, $y);
        self::assertSame(36, $fit->n);
        self::assertEqualsWithDelta(1.00211681802045, $fit->slope, 1e-12);
        self::assertEqualsWithDelta(-0.262323073774029, $fit->intercept, 1e-10);
        self::assertEqualsWithDelta(0.884796396144373, $fit->residualSd, 1e-11);
    }

    /**
     * NIST Statistical Reference Datasets, "NoInt1" (linear regression through
     * the origin). Data and certified values from memory: slope 2.07438016528926,
     * residual SD 3.56753034006338 (10 degrees of freedom). A line through the
     * origin is the line through the points and their mirror images, with twice
     * the squares and twice the degrees of freedom.
     */
    public function test_no_intercept(): void
    {
        $x = array_map(floatval(...), range(60, 70));
        $y = array_map(floatval(...), range(130, 140));
        $mirror = fn (array $v): array => array_map(fn (float $n): float => -$n, $v);
        $fit = LeastSquares::fit([...$x, ...$mirror($x)], [...$y, ...$mirror($y)]);
        self::assertEqualsWithDelta(2.07438016528926, $fit->slope, 1e-13);
        self::assertEqualsWithDelta(0.0, $fit->intercept, 1e-12);
        self::assertEqualsWithDelta(3.56753034006338, $fit->residualSd, 1e-12);
        self::assertEqualsWithDelta(127.272727272727, $fit->sumSquaresResidual / 2, 1e-10);
    }

    /** Standard normal distribution function: Abramowitz & Stegun 1964, table 26.1; from memory. */
    public function test_normal_table(): void
    {
        foreach ([0 => 0.5, 1 => 0.841344746068543, 2 => 0.977249868051821, 3 => 0.998650101968370] as $z => $p) {
            self::assertEqualsWithDelta($p, Normal::cdf($z), 1e-14);
            self::assertEqualsWithDelta(1 - $p, Normal::cdf(-$z), 1e-14);
        }
        // The 97.5 % point, and far into the tail where a naive 1 − Φ loses all digits.
        self::assertEqualsWithDelta(0.975, Normal::cdf(1.959963984540054), 1e-14);
        self::assertEqualsWithDelta(7.61985302416e-24, Normal::cdf(-10.0), 1e-33);
    }

    /** The two branches of the distribution agree where they meet, and the slope is the density. */
    public function test_normal_is_smooth(): void
    {
        for ($z = -6.0; $z <= 6.0; $z += 0.05) {
            $density = exp(-$z * $z / 2) / sqrt(2 * M_PI);
            self::assertEqualsWithDelta($density, (Normal::cdf($z + 1e-4) - Normal::cdf($z - 1e-4)) / 2e-4, 1e-8, "at $z");
        }
    }

    /**
     * JCGM 100:2008 (GUM): a rectangular limit ±a has u = a/√3 (4.3.7); relative
     * uncertainties of a quotient add in quadrature (5.1.6). The worked value of
     * the design paper, and a simulation of the two limits.
     */
    public function test_gum_propagation(): void
    {
        $read = StitchLength::counted(10, 25, Tolerance::around(2.5, 0.2, 0.4))->reading;
        self::assertEqualsWithDelta(2.5, $read->value, 1e-12);
        self::assertEqualsWithDelta(0.0777, $read->u, 5e-5);
        self::assertEqualsWithDelta(0.155, $read->expanded(), 5e-4);

        mt_srand(20300502);
        $flat = fn (): float => mt_rand() / mt_getrandmax() - 0.5;
        $draws = array_map(fn (): float => (25 + $flat()) / (10 + $flat()), range(1, 40_000));
        $mean = array_sum($draws) / count($draws);
        $sd = sqrt(array_sum(array_map(fn (float $d): float => ($d - $mean) ** 2, $draws)) / (count($draws) - 1));
        self::assertEqualsWithDelta($read->u, $sd, 0.002);
    }

    /**
     * JCGM 100:2008, H.1 (calibrating an end gauge of 50 mm), from memory: the
     * parts 25 nm, 9.7 nm, and from the limits ±1·10⁻⁶ and ±0.05 °C, both
     * rectangular, 2.9 nm and 16.6 nm; combined 32 nm.
     */
    public function test_gum_end_gauge(): void
    {
        $expansion = 50e6 * 0.1 * Reading::ruler(0.0, 1e-6)->u;
        $temperature = 50e6 * 11.5e-6 * Reading::ruler(0.0, 0.05)->u;
        self::assertEqualsWithDelta(2.9, $expansion, 0.05);
        self::assertEqualsWithDelta(16.6, $temperature, 0.05);
        $difference = Reading::combined(0.0, 5.8, 3.9, 6.7);
        self::assertEqualsWithDelta(9.7, $difference->u, 0.05);
        self::assertEqualsWithDelta(32.0, Reading::combined(838.0, 25.0, $difference->u, $expansion, $temperature)->u, 0.5);
    }

    /** International yard and pound agreement, 1959: 1 in = 25.4 mm exactly. */
    public function test_inch(): void
    {
        self::assertSame(25.4, Length::inches(1.0)->inMm());
        self::assertSame(15.875, Length::inches('5/8')->inMm());
    }

    /** Corbett & Anderson 1995, worked values of the design paper: P 0.5, S 0.1, G 0.2, T 0.2. */
    public function test_knowledge_tracing(): void
    {
        $tracing = new KnowledgeTracing(TracingParameters::of(0.5, 0.1, 0.2, 0.2));
        self::assertEqualsWithDelta(0.8545, $tracing->trace([[1.0]])[0], 5e-5);
        self::assertEqualsWithDelta(0.2889, $tracing->trace([[0.0]])[0], 5e-5);
    }

    /** Soft evidence by likelihood ratio, worked values of the design paper: the order of checks never matters, an undecidable one says nothing. */
    public function test_soft_evidence(): void
    {
        $tracing = new KnowledgeTracing(TracingParameters::of(0.3, 0.1, 0.1, 0.2));
        self::assertEqualsWithDelta($tracing->trace([[1.0, 1.0, 0.5]])[0], $tracing->trace([[0.5, 1.0, 1.0]])[0], 1e-12);
        self::assertSame(0.3, (new KnowledgeTracing(TracingParameters::of(0.3, 0.1, 0.1, 0.0)))->trace([[0.5, 0.5]])[0]);
        // Odds 4.5² = 20.25.
        self::assertEqualsWithDelta(0.9529, (new KnowledgeTracing(TracingParameters::of(0.5, 0.1, 0.2, 0.0), null))->trace([[1.0, 1.0]])[0], 5e-5);
        // Twelve checks count as two and a half: odds 4.5^2.5.
        self::assertEqualsWithDelta(4.5 ** 2.5 / (1 + 4.5 ** 2.5), (new KnowledgeTracing(TracingParameters::of(0.5, 0.1, 0.2, 0.0)))->trace([array_fill(0, 12, 1.0)])[0], 1e-12);
    }

    /**
     * Knowledge tracing is a hidden Markov model: the same answer by summing over
     * every history of knowing and not knowing (textbook forward sum).
     */
    public function test_tracing_equals_the_sum_over_histories(): void
    {
        [$p, $s, $g, $t] = [0.35, 0.12, 0.18, 0.25];
        $shown = [[1.0, 0.0], [1.0], [0.0, 1.0, 1.0], [1.0]];
        $joint = ['known' => 0.0, 'all' => 0.0];
        $n = count($shown);
        for ($learnedAt = 0; $learnedAt <= $n + 0; $learnedAt++) {
            // Knows from before sample $learnedAt on; $n: learned after the last; never: handled below.
            $prior = $learnedAt === 0 ? $p : (1 - $p) * (1 - $t) ** ($learnedAt - 1) * $t;
            $joint['known'] += $w = $prior * self::likelihood($shown, $learnedAt, $s, $g);
            $joint['all'] += $w;
        }
        $joint['all'] += (1 - $p) * (1 - $t) ** $n * self::likelihood($shown, $n + 1, $s, $g);
        $trace = (new KnowledgeTracing(TracingParameters::of($p, $s, $g, $t), null))->trace($shown);
        self::assertEqualsWithDelta($joint['known'] / $joint['all'], $trace[$n - 1], 1e-12);
    }

    /** @param  list<list<float>>  $shown */
    private static function likelihood(array $shown, int $knownFrom, float $s, float $g): float
    {
        $product = 1.0;
        foreach ($shown as $i => $weights) {
            foreach ($weights as $right) {
                $chance = $i >= $knownFrom ? 1 - $s : $g;
                $product *= $right === 1.0 ? $chance : 1 - $chance;
            }
        }

        return $product;
    }
}
