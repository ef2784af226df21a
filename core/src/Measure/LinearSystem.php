<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/** As many linear equations as unknowns. */
final class LinearSystem
{
    /**
     * Gaussian elimination with the largest pivot.
     *
     * @param  list<list<float>>  $rows  each with its factors and the right side
     * @return list<float>|null null when they do not settle it
     */
    public static function solve(array $rows): ?array
    {
        $n = count($rows);
        $largest = max([1.0, ...array_map(fn (array $r): float => max([0.0, ...array_map(abs(...), $r)]), $rows)]);
        for ($k = 0; $k < $n; $k++) {
            $pivot = $k;
            for ($i = $k + 1; $i < $n; $i++) {
                $pivot = abs($rows[$i][$k]) > abs($rows[$pivot][$k]) ? $i : $pivot;
            }
            if (abs($rows[$pivot][$k]) < 1e-10 * $largest) {
                return null;
            }
            [$rows[$k], $rows[$pivot]] = [$rows[$pivot], $rows[$k]];
            for ($i = $k + 1; $i < $n; $i++) {
                $f = $rows[$i][$k] / $rows[$k][$k];
                for ($j = $k; $j <= $n; $j++) {
                    $rows[$i][$j] -= $f * $rows[$k][$j];
                }
            }
        }
        $x = array_fill(0, $n, 0.0);
        for ($i = $n - 1; $i >= 0; $i--) {
            $sum = $rows[$i][$n];
            for ($j = $i + 1; $j < $n; $j++) {
                $sum -= $rows[$i][$j] * $x[$j];
            }
            $x[$i] = $sum / $rows[$i][$i];
        }

        return array_values($x);
    }

    /**
     * The unknowns that fit more equations than there are of them best: the normal equations, by least squares.
     *
     * @param  list<list<float>>  $rows  each with its factors and the right side
     * @return list<float>|null null when they do not settle it
     */
    public static function fit(array $rows): ?array
    {
        $n = count($rows[0] ?? []) - 1;
        if ($n < 1 || count($rows) < $n) {
            return null;
        }
        $normal = [];
        for ($a = 0; $a < $n; $a++) {
            $line = [];
            for ($b = 0; $b <= $n; $b++) {
                $sum = 0.0;
                foreach ($rows as $row) {
                    $sum += $row[$a] * $row[$b];
                }
                $line[] = $sum;
            }
            $normal[] = $line;
        }

        return self::solve($normal);
    }
}
