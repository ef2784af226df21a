<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Near;

/** How a signal repeats: from how alike it is to itself further on (autocorrelation). */
final class Repeats
{
    /** How alike it must be to itself one repeat on. */
    private const ALIKE = 0.22;

    /** A peak this near to the highest is taken for the first repeat. */
    private const AS_HIGH = 0.45;

    /** So many repeats are looked at together: eight on, a step is an eighth of one. */
    private const TOGETHER = 8;

    /**
     * @param  list<float>  $signal  of mean 0
     * @param  int  $shortest  steps
     * @param  float  $least  how alike it must be to itself one repeat on
     * @return array{float, float}|null steps from one repeat to the next, and the standard uncertainty of that
     */
    public static function find(array $signal, int $shortest, int $longest, float $least = self::ALIKE): ?array
    {
        $most = min(self::TOGETHER * $longest, (int) (0.7 * count($signal)));
        if ($most < 3 * $shortest) {
            return null;
        }
        $alike = self::alike($signal, $most);
        $peaks = [];
        for ($lag = max(2, $shortest); $lag <= min($longest, $most - 1); $lag++) {
            if ($alike[$lag] >= $least && $alike[$lag] >= $alike[$lag - 1] && $alike[$lag] > $alike[$lag + 1]) {
                $peaks[$lag] = $alike[$lag];
            }
        }
        if ($peaks === []) {
            return null;
        }
        foreach ($peaks as $lag => $v) {
            if ($v >= self::AS_HIGH * max($peaks)) {
                // Half of it repeats too, if not so clearly: which of both it is cannot be told.
                return self::again($alike, $lag) && ! self::halves($alike, $lag) ? self::refined($alike, $lag) : null;
            }
        }

        return null;
    }

    /**
     * @param  list<float>  $signal
     * @return list<float> 1 at 0
     */
    private static function alike(array $signal, int $most): array
    {
        $n = count($signal);
        $power = Signal::power($signal);
        $alike = [];
        for ($lag = 0; $lag <= $most; $lag++) {
            $sum = 0.0;
            for ($i = 0; $i < $n - $lag; $i++) {
                $sum += $signal[$i] * $signal[$i + $lag];
            }
            $alike[] = $power > 0 ? $sum / (($n - $lag) * $power) : 0.0;
        }

        return $alike;
    }

    /**
     * What repeats does so a second time: what wanders may look alike to itself once by chance.
     *
     * @param  list<float>  $alike
     */
    private static function again(array $alike, int $lag): bool
    {
        $reach = max(1, (int) ceil($lag / 6));
        $near = array_slice($alike, 2 * $lag - $reach, 2 * $reach + 1);
        rsort($near);

        return $near === [] || $near[0] >= self::ALIKE / 2;
    }

    /**
     * Every second repeat may fall on other pixels than the one between: then it is most like the next but one.
     *
     * @param  list<float>  $alike
     */
    private static function halves(array $alike, int $lag): bool
    {
        foreach ([2, 3] as $part) {
            $about = (int) round($lag / $part);
            for ($l = max(2, $about - 1); $l <= $about + 1; $l++) {
                if ($alike[$l] >= self::AS_HIGH / 2 * $alike[$lag] && $alike[$l] >= $alike[$l - 1] && $alike[$l] > $alike[$l + 1] && $alike[$l] - min([1.0, ...array_slice($alike, 1, $l)]) > self::ALIKE) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  list<float>  $alike
     * @return array{float, float}
     */
    private static function refined(array $alike, int $lag): array
    {
        $exact = self::top($alike, $lag);
        $each = [$exact];
        for ($times = 2; $times <= self::TOGETHER; $times++) {
            $about = (int) round($times * $exact);
            $reach = max(1, (int) ceil($exact / 6));
            $best = $about;
            for ($l = $about - $reach; $l <= $about + $reach; $l++) {
                $best = ($alike[$l] ?? -INF) > ($alike[$best] ?? -INF) ? $l : $best;
            }
            if (! isset($alike[$best + 1]) || $alike[$best] < self::ALIKE / 2) {
                break;
            }
            $exact = self::top($alike, $best) / $times;
            $each[] = $exact;
        }
        // The last ones say it most exactly; how far they part says how exactly.
        $last = array_slice($each, -3);
        $mean = array_sum($last) / count($last);
        sort($last);
        $apart = $last[count($last) - 1] - $last[0];

        return [$mean, hypot($apart / 2, 0.25 / count($each))];
    }

    /** @param  list<float>  $alike */
    private static function top(array $alike, int $lag): float
    {
        [$a, $b, $c] = [$alike[$lag - 1] ?? 0.0, $alike[$lag], $alike[$lag + 1] ?? 0.0];
        $bend = $a - 2 * $b + $c;

        return abs($bend) < Near::CHANCE ? (float) $lag : $lag + max(-0.5, min(0.5, 0.5 * ($a - $c) / $bend));
    }
}
