<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Near;

/** The stitch pitch from how the row repeats along itself. */
final class PitchFinder
{
    /** Shortest and longest stitch that is looked for, mm. */
    private const SHORTEST_MM = 0.9;

    private const LONGEST_MM = 6.0;

    /** How alike the row must be to itself a stitch on. */
    private const ALIKE = 0.22;

    /** How much more the shade changes along the row than beside it, in squares. */
    private const STRONGER = 3.0;

    private const BESIDE_MM = 1.5;

    /** A peak this near to the highest is taken for the first repeat. */
    private const AS_HIGH = 0.45;

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
        $alike = self::alike($signal, min(8 * $to, (int) (count($signal) * 0.75)));
        $peaks = array_filter(self::peaks($alike, $from, $to), fn (float $v): bool => $v >= self::ALIKE);
        if ($peaks === []) {
            return null;
        }
        $highest = max($peaks);
        foreach ($peaks as $lag => $v) {
            if ($v >= self::AS_HIGH * $highest) {
                return self::refined($alike, $lag);
            }
        }

        return null;
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

    /**
     * @param  list<float>  $signal
     * @return list<float> likeness to itself so many pixels on, 1 at 0
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
     * @param  list<float>  $alike
     * @return array<int, float> height by lag, nearest first
     */
    private static function peaks(array $alike, int $from, int $to): array
    {
        $peaks = [];
        for ($lag = max(1, $from); $lag <= $to && isset($alike[$lag + 1]); $lag++) {
            if ($alike[$lag] >= $alike[$lag - 1] && $alike[$lag] > $alike[$lag + 1]) {
                $peaks[$lag] = $alike[$lag];
            }
        }

        return $peaks;
    }

    /**
     * The further repeats say it more exactly: eight stitches on, a pixel is an eighth of one.
     *
     * @param  list<float>  $alike
     */
    private static function refined(array $alike, int $lag): float
    {
        $exact = self::top($alike, $lag);
        for ($times = 2; $times <= 8; $times++) {
            $about = (int) round($times * $exact);
            $best = $about;
            for ($l = $about - (int) ceil($exact / 6); $l <= $about + (int) ceil($exact / 6); $l++) {
                $best = ($alike[$l] ?? -INF) > ($alike[$best] ?? -INF) ? $l : $best;
            }
            if (! isset($alike[$best + 1]) || $alike[$best] < self::ALIKE) {
                break;
            }
            $exact = self::top($alike, $best) / $times;
        }

        return $exact;
    }

    /** @param  list<float>  $alike */
    private static function top(array $alike, int $lag): float
    {
        [$a, $b, $c] = [$alike[$lag - 1], $alike[$lag], $alike[$lag + 1]];
        $bend = $a - 2 * $b + $c;

        return abs($bend) < Near::CHANCE ? (float) $lag : $lag + 0.5 * ($a - $c) / $bend;
    }
}
