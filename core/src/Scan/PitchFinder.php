<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;

/** The stitch pitch from how the row repeats along itself. */
final class PitchFinder
{
    /** Shortest and longest stitch that is looked for, mm. */
    private const SHORTEST_MM = 0.9;

    private const LONGEST_MM = 6.0;

    /** How much more the shade changes along the row than beside it, in squares. */
    private const STRONGER = 3.0;

    private const BESIDE_MM = 1.5;

    /**
     * How the row repeats along itself.
     *
     * @param  array<int, float>  $row
     * @return float|null pixels down the scan from one stitch to the next
     */
    public static function find(ScanBands $bands, LeastSquares $edge, array $row): ?float
    {
        $signal = self::along($bands, $edge, $row, 0.0);
        // Beside the row the cloth has a weave too: what repeats no more strongly than that is no stitch.
        $beside = max(Signal::power(self::along($bands, $edge, $row, self::BESIDE_MM)), Signal::power(self::along($bands, $edge, $row, -self::BESIDE_MM)));
        if (Signal::power($signal) < self::STRONGER * $beside) {
            return null;
        }
        [$from, $to] = [(int) floor(self::SHORTEST_MM / $bands->mm), (int) ceil(self::LONGEST_MM / $bands->mm)];
        if (count($signal) < 4 * $from) {
            return null;
        }

        return Repeats::find($signal, $from, $to)[0] ?? null;
    }

    /**
     * Shades along the row, less what changes slowly.
     *
     * @param  array<int, float>  $row
     * @param  float  $asideMm  beside it, above 0 towards the edge
     * @return list<float>
     */
    private static function along(ScanBands $bands, LeastSquares $edge, array $row, float $asideMm): array
    {
        $half = max(1, (int) round(0.25 / $bands->mm));
        $signal = [];
        $last = array_values($row)[0] ?? 0.0;
        for ($y = 0; $y < count($bands->shades) * $bands->tall; $y++) {
            $b = $y / $bands->tall - 0.5;
            $last = $row[(int) round($b)] ?? $last;
            $x = max(0, min($bands->scan->width - 1, (int) round($edge->at($b) - $last + $asideMm / $bands->mm)));
            $inside = array_slice($bands->scan->row($y), max(0, $x - $half), 2 * $half + 1);
            $signal[] = array_sum($inside) / max(1, count($inside));
        }
        $slow = Signal::smoothed($signal, (int) round(4.0 / $bands->mm));

        return array_map(fn (float $s, float $m): float => $s - $m, Signal::smoothed($signal, max(1, (int) round(0.12 / $bands->mm))), $slow);
    }
}
