<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** Sums and means over a row of shades. */
final class Signal
{
    /** @param  list<float>  $signal */
    public static function power(array $signal): float
    {
        return array_sum(array_map(fn (float $s): float => $s * $s, $signal)) / max(1, count($signal));
    }

    /**
     * @param  list<float>  $values
     * @return list<float> sums of all before each, and of all
     */
    public static function sums(array $values): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($values as $v) {
            $sums[] = $sum += $v;
        }

        return $sums;
    }

    /**
     * Between two places on the line from one to the next, beyond its ends as at them.
     *
     * @param  list<float>  $values
     */
    public static function between(array $values, float $at): float
    {
        $last = count($values) - 1;
        $at = max(0.0, min((float) $last, $at));
        $k = min((int) $at, max(0, $last - 1));

        return $values[$k] + ($at - $k) * (($values[$k + 1] ?? $values[$k]) - $values[$k]);
    }

    /**
     * @param  list<float>  $values
     * @return list<float> each the mean of itself and so many on both sides
     */
    public static function smoothed(array $values, int $half): array
    {
        $sums = self::sums($values);
        $n = count($values);
        $smooth = [];
        for ($i = 0; $i < $n; $i++) {
            [$a, $b] = [max(0, $i - $half), min($n, $i + $half + 1)];
            $smooth[] = ($sums[$b] - $sums[$a]) / ($b - $a);
        }

        return $smooth;
    }
}
