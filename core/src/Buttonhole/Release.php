<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Measure\Normal;

/**
 * Whether a buttonhole may be sewn on the garment, and how likely the next ones
 * come out as the tests did. Lengths: a normal spread about a mean, neither
 * known; a weak belief beforehand (a spread of 0.7 mm† as from two holes, a mean
 * near 0 as from half a hole) and the tests (normal and inverse chi-squared, the
 * conjugate pair; Gelman et al., Bayesian Data Analysis, memory). All else that
 * can go wrong: met or not, a beta belief. Both are averaged over what they
 * leave open, so that few tests promise little.
 */
final readonly class Release
{
    /** [mm] Of the finished length, before anything is known; ours to start from. */
    private const SPREAD_MM = 0.7;

    private const SPREAD_WEIGHT = 2.0;

    private const MEAN_WEIGHT = 0.5;

    /** Met and not met, as from so many before: what else can go wrong seldom does. Ours to start from. */
    private const ELSE_MET = 4.0;

    private const ELSE_NOT = 0.5;

    /** Points of the sums that stand for the averages. */
    private const STEPS = 40;

    private function __construct(
        /** Tests met in a row, up to the last. */
        public int $inARow,
        public int $needed,
        public bool $allowed,
        /** That the next one is met. */
        public float $next,
        /** That all of them are. */
        public float $all,
    ) {}

    /**
     * @param  list<SewnHole>  $tests  on the same stack, machine and settings, oldest first
     * @param  int  $holes  that the garment gets
     */
    public static function of(array $tests, bool $beginner, int $holes): self
    {
        $row = 0;
        foreach (array_reverse($tests) as $test) {
            if (! $test->isGood()) {
                break;
            }
            $row++;
        }
        $needed = $beginner ? 2 : 1;
        $off = array_values(array_filter(array_map(fn (SewnHole $t): ?float => $t->finishedMm === null ? null : $t->finishedMm - $t->plannedMm, $tests), fn (?float $v): bool => $v !== null));
        // A length that is off is the length's own doing, and counted there.
        $elseMet = count(array_filter($tests, fn (SewnHole $t): bool => $t->met && $t->snug !== false));
        $elseNot = count(array_filter($tests, fn (SewnHole $t): bool => ! ($t->met && $t->snug !== false) && ($t->finishedMm === null || abs($t->finishedMm - $t->plannedMm) <= HoleChecks::FINISHED[0])));
        $chance = fn (int $n): float => self::lengths($off, $n) * self::others($elseMet, $elseNot, $n);

        return new self($row, $needed, $row >= $needed, $chance(1), $chance(max(1, $holes)));
    }

    /**
     * That n more lie within what is met, averaged over mean and spread.
     *
     * @param  list<float>  $off
     */
    private static function lengths(array $off, int $n): float
    {
        $count = count($off);
        $mean = $count === 0 ? 0.0 : array_sum($off) / $count;
        $squares = array_sum(array_map(fn (float $v): float => ($v - $mean) ** 2, $off));
        $weight = self::MEAN_WEIGHT + $count;
        $freedom = self::SPREAD_WEIGHT + $count;
        $scale = self::SPREAD_WEIGHT * self::SPREAD_MM ** 2 + $squares + self::MEAN_WEIGHT * $count / $weight * $mean ** 2;
        $centre = $count * $mean / $weight;
        $limit = HoleChecks::FINISHED[0];
        $sum = 0.0;
        $total = 0.0;
        for ($i = 0; $i < self::STEPS; $i++) {
            // Spread on a logarithmic ladder, from a twentieth of what is likely to twenty times of it.
            $s = sqrt($scale / $freedom) * exp(log(20) * (2 * ($i + 0.5) / self::STEPS - 1));
            $likely = exp(-$freedom * log($s) - $scale / (2 * $s * $s) + $freedom * log(sqrt($scale / $freedom)));
            for ($j = 0; $j < self::STEPS; $j++) {
                $z = 8 * (($j + 0.5) / self::STEPS - 0.5);
                $m = $centre + $z * $s / sqrt($weight);
                $here = $likely * exp(-$z * $z / 2);
                $sum += $here * (Normal::cdf(($limit - $m) / $s) - Normal::cdf((-$limit - $m) / $s)) ** $n;
                $total += $here;
            }
        }

        return $sum / $total;
    }

    /** That nothing else goes wrong in n more. */
    private static function others(int $met, int $not, int $n): float
    {
        $p = 1.0;
        for ($i = 0; $i < $n; $i++) {
            $p *= (self::ELSE_MET + $met + $i) / (self::ELSE_MET + self::ELSE_NOT + $met + $not + $i);
        }

        return $p;
    }
}
