<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Measure\Reading;

/**
 * Reads a flat scan of one row sewn along the right edge of the cloth: the edge
 * from the steepest change of shade, the row as the dark line beside it, the
 * stitch pitch from how the row repeats. It says what it cannot find rather than
 * guess. Thread darker or lighter than the cloth; the edge within a few degrees of upright.
 */
final class ScanReader
{
    /** Height of a band that is read at once, mm. */
    private const BAND_MM = 1.5;

    /** Nearest and furthest that a row is looked for from the edge, mm. */
    private const NEAREST_MM = 2.0;

    private const FURTHEST_MM = 45.0;

    /** Shortest and longest stitch that is looked for, mm. */
    private const SHORTEST_MM = 0.9;

    private const LONGEST_MM = 6.0;

    /** How far the row may stray from its middle, mm. */
    private const STRAY_MM = 3.0;

    /** How much darker than the rest the row must be, in deviations. */
    private const STANDS_OUT = 7.0;

    /** How alike the row must be to itself a stitch on. */
    private const ALIKE = 0.22;

    /** How much more the shade changes along the row than beside it, in squares. */
    private const STRONGER = 3.0;

    private const BESIDE_MM = 1.5;

    /** A peak this near to the highest is taken for the first repeat. */
    private const AS_HIGH = 0.45;

    /** @var list<list<float>> mean shades of each band, across */
    private array $bands = [];

    private float $mm;

    private int $tall;

    /** @param  int  $sign  1 for thread darker than the cloth, −1 for lighter */
    private function __construct(private readonly GreyImage $scan, private readonly int $sign)
    {
        $this->mm = $scan->mmPerPixel();
        $this->tall = max(2, (int) round(self::BAND_MM / $this->mm));
    }

    public static function read(GreyImage $scan): ScanReading
    {
        $dark = (new self($scan, 1))->find();
        if ($dark->cannot === null || $dark->cannot === 'edge') {
            return $dark;
        }
        $light = (new self($scan, -1))->find();

        return $light->cannot === null ? $light : $dark;
    }

    private function find(): ScanReading
    {
        $this->average();
        $edge = $this->edge();
        if ($edge === null) {
            return ScanReading::cannotTell('edge');
        }
        $row = $this->row($edge);
        if ($row === null) {
            return ScanReading::cannotTell('row');
        }
        $length = $this->pitch($edge, $row);
        if ($length === null) {
            return ScanReading::cannotTell('stitches');
        }
        // Along the row, and across it: the piece may lie at an angle.
        $upright = 1 / hypot(1, $edge->slope / $this->tall);
        $marks = [];
        foreach ($row as $band => $away) {
            $marks[] = [($band + 0.5) * $this->tall * $this->mm / $upright, $away * $this->mm * $upright];
        }
        $all = array_column($marks, 1);
        $mean = array_sum($all) / count($all);
        $spread = sqrt(array_sum(array_map(fn (float $a): float => ($a - $mean) ** 2, $all)) / max(1, count($all) - 1));

        return ScanReading::of(
            Reading::of($length * $this->mm / $upright, $length * $this->mm * 0.004 + 0.002),
            // A pixel of doubt about where the cloth ends, and what the marks scatter by.
            Reading::combined($mean, $this->mm / sqrt(3), $spread / sqrt(count($all))),
            $marks,
        );
    }

    private function average(): void
    {
        $bands = intdiv($this->scan->height, $this->tall);
        for ($b = 0; $b < $bands; $b++) {
            $sum = array_fill(0, $this->scan->width, 0);
            for ($y = $b * $this->tall; $y < ($b + 1) * $this->tall; $y++) {
                foreach ($this->scan->row($y) as $x => $shade) {
                    $sum[$x] += $shade;
                }
            }
            $this->bands[] = array_map(fn (int $s): float => $s / $this->tall, array_values($sum));
        }
    }

    /** The cloth's right edge as a line: pixels across by band; null where there is none. */
    private function edge(): ?LeastSquares
    {
        // Wider than a thread, so that the row is not taken for the edge.
        $reach = max(3, (int) round(2.0 / $this->mm));
        [$at, $places, $steps] = [[], [], []];
        foreach ($this->bands as $b => $shades) {
            $sums = self::sums($shades);
            $best = [0.0, 0];
            for ($x = $reach; $x < $this->scan->width - $reach; $x++) {
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
        $line = self::fitted($at, $places, 0.4 / $this->mm);
        sort($steps);

        return $line !== null && $steps[intdiv(count($steps), 2)] > 18 ? $line : null;
    }

    /**
     * @return array<int, float>|null distance of the row from the edge in pixels, by band
     */
    private function row(LeastSquares $edge): ?array
    {
        $near = (int) round(self::NEAREST_MM / $this->mm);
        $far = (int) round(self::FURTHEST_MM / $this->mm);
        $about = max(2, (int) round(2.0 / $this->mm));
        $thin = max(1, (int) round(0.2 / $this->mm));
        $total = array_fill(0, $far, 0.0);
        $dark = [];
        foreach ($this->bands as $b => $shades) {
            $sums = self::sums($shades);
            $x0 = (int) round($edge->at((float) $b));
            for ($d = $near; $d < $far && $x0 - $d - $about > 0; $d++) {
                $x = $x0 - $d;
                $around = ($sums[$x + $about] - $sums[$x - $about]) / (2 * $about);
                $dark[$b][$d] = $this->sign * ($around - ($sums[$x + $thin + 1] - $sums[$x - $thin]) / (2 * $thin + 1));
                $total[$d] += $dark[$b][$d];
            }
        }
        // A row that wanders is spread out: what is looked for is a dark lane as wide as it may stray.
        $lane = self::smoothed(array_values($total), max(1, (int) round(0.5 / $this->mm)));
        $places = array_slice($lane, $near, null, true);
        if ($places === []) {
            return null;
        }
        arsort($places);
        $middle = (int) array_key_first($places);
        $rest = array_values(array_filter($lane, fn (float $v, int $d): bool => $d >= $near && $v !== 0.0 && abs($d - $middle) > self::STRAY_MM / $this->mm, ARRAY_FILTER_USE_BOTH));
        if (count($rest) < 20) {
            return null;
        }
        $mean = array_sum($rest) / count($rest);
        $deviation = sqrt(array_sum(array_map(fn (float $v): float => ($v - $mean) ** 2, $rest)) / count($rest));
        if (self::STANDS_OUT * max(1e-6, $deviation) > $places[$middle] - $mean) {
            return null;
        }

        return $this->traced($dark, $middle, $edge);
    }

    /**
     * The row band by band: the darkest place near where it was last, to a part of a pixel.
     *
     * @param  array<int, array<int, float>>  $dark
     * @return array<int, float>|null
     */
    private function traced(array $dark, int $middle, LeastSquares $edge): ?array
    {
        $stray = (int) round(self::STRAY_MM / $this->mm);
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
            if ($near === [] || abs($away - $near[intdiv(count($near), 2)]) < 0.8 / $this->mm) {
                $kept[$b] = $away;
            }
        }

        return count($kept) >= 0.75 * count($this->bands) && count($kept) >= 8 ? $kept : null;
    }

    /**
     * How the row repeats along itself.
     *
     * @param  array<int, float>  $row
     * @return float|null pixels down the scan from one stitch to the next
     */
    private function pitch(LeastSquares $edge, array $row): ?float
    {
        $signal = $this->along($edge, $row, 0.0);
        // Beside the row the cloth has a weave too: what repeats no more strongly than that is no stitch.
        $beside = max(self::power($this->along($edge, $row, self::BESIDE_MM)), self::power($this->along($edge, $row, -self::BESIDE_MM)));
        if (self::power($signal) < self::STRONGER * $beside) {
            return null;
        }
        [$from, $to] = [(int) floor(self::SHORTEST_MM / $this->mm), (int) ceil(self::LONGEST_MM / $this->mm)];
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
    private function along(LeastSquares $edge, array $row, float $asideMm): array
    {
        $half = max(1, (int) round(0.25 / $this->mm));
        $signal = [];
        $last = array_values($row)[0] ?? 0.0;
        for ($y = 0; $y < count($this->bands) * $this->tall; $y++) {
            $b = $y / $this->tall - 0.5;
            $last = $row[(int) round($b)] ?? $last;
            $x = max(0, min($this->scan->width - 1, (int) round($edge->at($b) - $last + $asideMm / $this->mm)));
            $inside = array_slice($this->scan->row($y), max(0, $x - $half), 2 * $half + 1);
            $signal[] = array_sum($inside) / max(1, count($inside));
        }
        $slow = self::smoothed($signal, (int) round(4.0 / $this->mm));

        return array_map(fn (float $s, float $m): float => $s - $m, self::smoothed($signal, max(1, (int) round(0.12 / $this->mm))), $slow);
    }

    /** @param  list<float>  $signal */
    private static function power(array $signal): float
    {
        return array_sum(array_map(fn (float $s): float => $s * $s, $signal)) / max(1, count($signal));
    }

    /**
     * @param  list<float>  $signal
     * @return list<float> likeness to itself so many pixels on, 1 at 0
     */
    private static function alike(array $signal, int $most): array
    {
        $n = count($signal);
        $power = self::power($signal);
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

        return abs($bend) < 1e-12 ? (float) $lag : $lag + 0.5 * ($a - $c) / $bend;
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

    /**
     * @param  list<float>  $values
     * @return list<float> sums of all before each, and of all
     */
    private static function sums(array $values): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($values as $v) {
            $sums[] = $sum += $v;
        }

        return $sums;
    }

    /**
     * @param  list<float>  $values
     * @return list<float> each the mean of itself and so many on both sides
     */
    private static function smoothed(array $values, int $half): array
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
