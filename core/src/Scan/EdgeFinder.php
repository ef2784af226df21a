<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;

/** Where the cloth ends: the steepest change of shade, band by band, as one line. */
final class EdgeFinder
{
    /** The cloth's right edge as a line: pixels across by band; null where there is none. */
    public static function find(ScanBands $bands): ?LeastSquares
    {
        // Wider than a thread, so that the row is not taken for the edge.
        $reach = max(3, (int) round(2.0 / $bands->mm));
        [$at, $places, $steps] = [[], [], []];
        foreach ($bands->shades as $b => $shades) {
            $sums = Signal::sums($shades);
            $best = [0.0, 0];
            for ($x = $reach; $x < $bands->scan->width - $reach; $x++) {
                $step = abs(($sums[$x] - $sums[$x - $reach]) - ($sums[$x + $reach] - $sums[$x])) / $reach;
                if ($step > $best[0]) {
                    $best = [$step, $x];
                }
            }
            [$at[], $places[], $steps[]] = [(float) $b, (float) $best[1], $best[0]];
        }
        if (count($at) < 8) {
            return null;
        }
        // Most bands agree on one line, and the shade changes there by more than weave and noise do.
        $line = self::fitted($at, $places, 0.4 / $bands->mm);
        sort($steps);

        return $line !== null && $steps[intdiv(count($steps), 2)] > 18 ? $line : null;
    }

    /**
     * A line through most of the places: the rest is left out, twice.
     *
     * @param  list<float>  $at
     * @param  list<float>  $places
     * @param  float  $off  further from it than this is out
     */
    private static function fitted(array $at, array $places, float $off): ?LeastSquares
    {
        // First through the middle of the steps between places far apart: outliers do not pull at it.
        $half = intdiv(count($at), 2);
        $slopes = [];
        for ($i = 0; $i < $half; $i++) {
            $slopes[] = ($places[$i + $half] - $places[$i]) / $half;
        }
        sort($slopes);
        $slope = $slopes[intdiv(count($slopes), 2)];
        $rests = array_map(fn (float $p, float $a): float => $p - $slope * $a, $places, $at);
        sort($rests);
        $intercept = $rests[intdiv(count($rests), 2)];
        $inside = array_filter(array_keys($at), fn (int $i): bool => abs($places[$i] - $intercept - $slope * $at[$i]) <= $off);
        if (count($inside) < 0.7 * count($at)) {
            return null;
        }

        return LeastSquares::fit(array_map(fn (int $i): float => $at[$i], array_values($inside)), array_map(fn (int $i): float => $places[$i], array_values($inside)));
    }
}
