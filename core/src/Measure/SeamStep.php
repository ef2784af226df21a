<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use OpenSeam\Core\Near;

/**
 * A seam that runs along one guide and then along another: two levels explain the
 * readings far better than one slanting line, and each level is steady in itself.
 */
final readonly class SeamStep
{
    /** Two levels must leave less than this share of what a line leaves. */
    private const LEAVES = 0.4;

    private function __construct(
        /** Readings before the step. */
        public int $after,
        /** How far it jumps, mm; above 0 away from the edge. */
        public float $mm,
    ) {}

    /**
     * @param  list<float>  $allowances  in order along the seam
     * @param  float  $restMm  what a line leaves unexplained: its sum of squares, mm²
     * @param  float  $metMm  half-width of the met band; a smaller jump is no step
     */
    public static function find(array $allowances, float $restMm, float $metMm): ?self
    {
        $n = count($allowances);
        $best = null;
        $least = INF;
        // Two readings on each side at least: one alone is an end that wanders.
        for ($k = 2; $k <= $n - 2; $k++) {
            [$a, $b] = [array_slice($allowances, 0, $k), array_slice($allowances, $k)];
            if ($a === [] || $b === []) {
                continue;
            }
            [$from, $to] = [array_sum($a) / $k, array_sum($b) / ($n - $k)];
            $left = array_sum(array_map(fn (float $x): float => ($x - $from) ** 2, $a)) + array_sum(array_map(fn (float $x): float => ($x - $to) ** 2, $b));
            $steady = max(max($a) - min($a), max($b) - min($b)) <= $metMm + Near::DUST;
            if ($steady && abs($to - $from) > $metMm && $left < $least) {
                [$least, $best] = [$left, new self($k, $to - $from)];
            }
        }

        return $least <= self::LEAVES * $restMm ? $best : null;
    }
}
