<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Near;

/** The row as the dark (or light) line beside the edge. */
final class RowFinder
{
    /** Nearest and furthest that a row is looked for from the edge, mm. */
    private const NEAREST_MM = 2.0;

    private const FURTHEST_MM = 45.0;

    /** How far the row may stray from its middle, mm. */
    private const STRAY_MM = 3.0;

    /** How much darker than the rest the row must be, in deviations. */
    private const STANDS_OUT = 7.0;

    /**
     * @param  int  $sign  1 for thread darker than the cloth, −1 for lighter
     * @return array<int, float>|null distance of the row from the edge in pixels, by band
     */
    public static function find(ScanBands $bands, LeastSquares $edge, int $sign): ?array
    {
        $near = (int) round(self::NEAREST_MM / $bands->mm);
        $far = (int) round(self::FURTHEST_MM / $bands->mm);
        $about = max(2, (int) round(2.0 / $bands->mm));
        $thin = max(1, (int) round(0.2 / $bands->mm));
        $total = array_fill(0, $far, 0.0);
        $dark = [];
        foreach ($bands->shades as $b => $shades) {
            $sums = Signal::sums($shades);
            $x0 = (int) round($edge->at((float) $b));
            for ($d = $near; $d < $far && $x0 - $d - $about > 0; $d++) {
                $x = $x0 - $d;
                $around = ($sums[$x + $about] - $sums[$x - $about]) / (2 * $about);
                $dark[$b][$d] = $sign * ($around - ($sums[$x + $thin + 1] - $sums[$x - $thin]) / (2 * $thin + 1));
                $total[$d] += $dark[$b][$d];
            }
        }
        // A row that wanders is spread out: what is looked for is a dark lane as wide as it may stray.
        $lane = Signal::smoothed(array_values($total), max(1, (int) round(0.5 / $bands->mm)));
        $places = array_slice($lane, $near, null, true);
        if ($places === []) {
            return null;
        }
        arsort($places);
        $middle = (int) array_key_first($places);
        $rest = array_values(array_filter($lane, fn (float $v, int $d): bool => $d >= $near && $v !== 0.0 && abs($d - $middle) > self::STRAY_MM / $bands->mm, ARRAY_FILTER_USE_BOTH));
        if (count($rest) < 20) {
            return null;
        }
        $mean = array_sum($rest) / count($rest);
        $deviation = sqrt(array_sum(array_map(fn (float $v): float => ($v - $mean) ** 2, $rest)) / count($rest));
        if (self::STANDS_OUT * max(Near::SPOT_MM, $deviation) > $places[$middle] - $mean) {
            return null;
        }

        return self::traced($bands, $dark, $middle, $edge);
    }

    /**
     * The row band by band: the darkest place near where it was last, to a part of a pixel.
     *
     * @param  array<int, array<int, float>>  $dark
     * @return array<int, float>|null
     */
    private static function traced(ScanBands $bands, array $dark, int $middle, LeastSquares $edge): ?array
    {
        $stray = (int) round(self::STRAY_MM / $bands->mm);
        $found = [];
        foreach ($dark as $b => $places) {
            // Three bands together: between two stitches there is little to see.
            $best = [-INF, $middle];
            for ($d = $middle - $stray; $d <= $middle + $stray; $d++) {
                $here = ($places[$d] ?? 0.0) + ($dark[$b - 1][$d] ?? 0.0) + ($dark[$b + 1][$d] ?? 0.0);
                $best = $here > $best[0] ? [$here, $d] : $best;
            }
            [$weight, $sum] = [0.0, 0.0];
            for ($d = $best[1] - 3; $d <= $best[1] + 3; $d++) {
                $here = max(0.0, ($places[$d] ?? 0.0) + ($dark[$b - 1][$d] ?? 0.0) + ($dark[$b + 1][$d] ?? 0.0));
                [$weight, $sum] = [$weight + $here, $sum + $here * $d];
            }
            if ($weight > 0) {
                $x0 = $edge->at((float) $b);
                $found[$b] = $sum / $weight + ($x0 - round($x0));
            }
        }
        // Places that jump away from their neighbours were dirt, not thread.
        $kept = [];
        foreach ($found as $b => $away) {
            $near = array_filter([$found[$b - 2] ?? null, $found[$b - 1] ?? null, $found[$b + 1] ?? null, $found[$b + 2] ?? null], fn (?float $v): bool => $v !== null);
            sort($near);
            if ($near === [] || abs($away - $near[intdiv(count($near), 2)]) < 0.8 / $bands->mm) {
                $kept[$b] = $away;
            }
        }

        return count($kept) >= 0.75 * count($bands->shades) && count($kept) >= 8 ? $kept : null;
    }
}
