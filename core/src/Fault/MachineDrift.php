<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

/**
 * The same fault with different students on one machine, more than chance would
 * have it: the machine drifts, not the hands. Fisher's exact test, one-sided, with
 * students as units (R. A. Fisher 1922, from memory).
 */
final readonly class MachineDrift
{
    /** Chance below which it is no chance. */
    private const SURE = 0.05;

    /** Different students there must be at least; common practice, no source. */
    private const STUDENTS = 2;

    /** What is older says nothing of the machine as it is now, days; common practice, no source. */
    public const DAYS = 60;

    private function __construct(
        public string $machine,
        public string $fault,
        /** Students with it on this machine, and students who sewed on it. */
        public int $with,
        public int $of,
        /** The same on the others. */
        public int $elsewhere,
        public int $ofElsewhere,
        public float $chance,
    ) {}

    /**
     * @param  list<array{machine: string, student: string, faults: list<string>}>  $samples
     * @return list<self> surest first
     */
    public static function of(array $samples): array
    {
        $sewed = [];
        $had = [];
        foreach ($samples as $s) {
            $sewed[$s['machine']][$s['student']] = true;
            foreach ($s['faults'] as $fault) {
                $had[$fault][$s['machine']][$s['student']] = true;
            }
        }
        $found = [];
        foreach ($had as $fault => $machines) {
            foreach ($machines as $machine => $students) {
                $of = count($sewed[$machine]);
                $others = array_diff_key($sewed, [$machine => true]);
                $elsewhere = count(array_merge([], ...array_values(array_map(fn (array $x): array => array_keys($x), array_diff_key($machines, [$machine => true])))));
                $ofElsewhere = array_sum(array_map(count(...), $others));
                $chance = self::tail(count($students), $of, $elsewhere, $ofElsewhere);
                if (count($students) >= self::STUDENTS && $chance <= self::SURE) {
                    $found[] = new self((string) $machine, (string) $fault, count($students), $of, $elsewhere, $ofElsewhere, $chance);
                }
            }
        }
        usort($found, fn (self $a, self $b): int => $a->chance <=> $b->chance);

        return $found;
    }

    /** Chance of so many or more here, were all machines alike. */
    public static function tail(int $with, int $of, int $elsewhere, int $ofElsewhere): float
    {
        $all = $of + $ofElsewhere;
        $cases = $with + $elsewhere;
        $sum = 0.0;
        for ($k = $with; $k <= min($of, $cases); $k++) {
            $sum += exp(self::choose($of, $k) + self::choose($ofElsewhere, $cases - $k) - self::choose($all, $cases));
        }

        return min(1.0, $sum);
    }

    /** Logarithm of the number of ways to choose k of n; −∞ where there is none. */
    private static function choose(int $n, int $k): float
    {
        if ($k < 0 || $k > $n) {
            return -INF;
        }
        $sum = 0.0;
        for ($i = 1; $i <= $k; $i++) {
            $sum += log(($n - $k + $i) / $i);
        }

        return $sum;
    }
}
