<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Measure\Reading;

/**
 * A row that goes to and fro: where its thread is at each place along, how that repeats, and from the middle of each stroke,
 * where no turn rounds it, how wide it swings.
 */
final readonly class ZigzagTrace
{
    /** A place is thread from so many deviations on. */
    private const STRONG = 4.0;

    /** Places along the row whose middle is told together: 8 mm. */
    private const PART = 80;

    /** And stands out by so much of what most places do: on cloth without grain its weave would be thread elsewhere. */
    private const AS_STRONG = 0.35;

    /** Of the places along the row, from its first to its last. */
    private const SEEN = 0.6;

    /** Of the strip. */
    private const LEAST = 0.35;

    /** A row that is not seen for so long has ended, steps. */
    private const ENDED = 30;

    /** Narrower it is no zigzag, mm. */
    private const LEAST_WIDTH_MM = 0.8;

    /** Two strokes, mm. */
    private const SHORTEST_MM = 1.0;

    private const LONGEST_MM = 14.0;

    /** Of a stroke, on both sides of its middle, at most and at least. */
    private const MIDDLE = 0.3;

    private const LEAST_MIDDLE = 0.14;

    /** So near along to its turn a stroke is cut off by it, for the thread is as wide as it is: mm. */
    private const TURNS_MM = 0.38;

    /** Threads that lie closer run into each other, mm. */
    private const DENSE_MM = 0.75;

    private const EXPLAINED = 0.6;

    /** Of short and narrow strokes little is not rounded by the thread's own width: so uncertain they are at a stroke of a millimetre each way, mm². From drawn rows. */
    private const ROUNDED = 0.1;

    /** And at short strokes the thread fills what lies between them, mm at a stroke of a millimetre. From drawn rows. */
    private const FILLED = 0.08;

    /** Strokes that a length is told from. */
    private const FEWEST = 5;

    /** Of a stroke: more uneven than that they are no strokes. */
    private const UNEVEN = 0.35;

    private function __construct(public RowTrace $middle, public Reading $length, public Reading $width) {}

    public static function find(RowStrip $strip): self|CannotRead
    {
        $away = self::run(self::within(self::places($strip)));
        [$first, $last] = [(int) array_key_first($away), (int) array_key_last($away)];
        if ($last - $first + 1 < self::LEAST * count($strip->thread) || count($away) < self::SEEN * ($last - $first + 1)) {
            return CannotRead::NoRow;
        }
        $line = self::filled($away, $first, $last);
        $slow = Signal::smoothed($line, (int) round(5.0 / RowStrip::STEP_MM));
        $swing = array_map(fn (float $v, float $m): float => $v - $m, $line, $slow);
        if (sqrt(3 * Signal::power($swing)) * 2 * RowStrip::STEP_MM < self::LEAST_WIDTH_MM) {
            return CannotRead::NoRow;
        }
        $period = Repeats::find($swing, (int) round(self::SHORTEST_MM / RowStrip::STEP_MM), (int) round(self::LONGEST_MM / RowStrip::STEP_MM));
        if ($period === null) {
            return CannotRead::NoStitches;
        }
        [$steps, $phase] = self::exact($swing, $period[0]);
        $slow = self::middleOf($line, $steps);
        $strokes = self::strokes($away, $slow, $first, $steps, $phase);
        $each = self::each($strokes);
        if ($each === null) {
            return CannotRead::NoStitches;
        }

        $width = self::typical(array_map(fn (array $s): float => abs($s[1]) * $each->value, array_values($strokes)), $each->value);
        // Strokes so dense that their threads touch are no strokes any more; and what does not go to and fro like that is something else.
        if ($each->value < self::DENSE_MM || self::explained($away, $slow, $first, $steps, $phase, $width->value / RowStrip::STEP_MM) < self::EXPLAINED) {
            return CannotRead::NoStitches;
        }

        return new self(self::middle($slow, $first), $each, $width);
    }

    /** @return array<int, float> steps across by steps along, where thread is seen */
    private static function places(RowStrip $strip): array
    {
        $n = count($strip->thread);
        $places = $strong = [];
        $noise = self::STRONG * $strip->noise / sqrt(3);
        for ($i = 1; $i < $n - 1; $i++) {
            $sum = [];
            foreach ($strip->thread[$i] as $j => $s) {
                $sum[] = ($strip->thread[$i - 1][$j] + $s + $strip->thread[$i + 1][$j]) / 3;
            }
            $sum = Signal::smoothed($sum, 1);
            $top = 0;
            foreach ($sum as $j => $s) {
                $top = $s > $sum[$top] ? $j : $top;
            }
            if (($sum[$top] ?? 0.0) < $noise) {
                continue;
            }
            [$places[$i], $strong[$i]] = [self::middleAt($sum, $top), $sum[$top]];
        }
        $sorted = array_values($strong);
        sort($sorted);
        $least = self::AS_STRONG * ($sorted[intdiv(count($sorted), 2)] ?? 0.0);

        return array_filter($places, fn (int $i): bool => $strong[$i] >= $least, ARRAY_FILTER_USE_KEY);
    }

    /**
     * Of all that is more than half as strong as the top: a steep stroke is wide where it is crossed.
     *
     * @param  list<float>  $thread  across
     */
    private static function middleAt(array $thread, int $top): float
    {
        $half = $thread[$top] / 2;
        [$from, $to] = [$top, $top];
        while (($thread[$from - 1] ?? 0.0) > $half) {
            $from--;
        }
        while (($thread[$to + 1] ?? 0.0) > $half) {
            $to++;
        }
        [$weight, $at] = [0.0, 0.0];
        for ($k = $from; $k <= $to; $k++) {
            [$weight, $at] = [$weight + $thread[$k] - $half, $at + ($thread[$k] - $half) * $k];
        }

        return $at / $weight;
    }

    /**
     * The longest part of it without a long gap: what is seen beyond its ends is no row.
     *
     * @param  array<int, float>  $away
     * @return array<int, float>
     */
    private static function run(array $away): array
    {
        $best = $run = [];
        $before = null;
        foreach ($away as $i => $v) {
            $run = $before !== null && $i - $before > self::ENDED ? [] : $run;
            $run[$i] = $v;
            $best = count($run) > count($best) ? $run : $best;
            $before = $i;
        }

        return $best;
    }

    /**
     * Without what lies far beside where most of it is: dirt, and beyond its ends the cloth.
     *
     * @param  array<int, float>  $away
     * @return array<int, float>
     */
    private static function within(array $away): array
    {
        $parts = [];
        foreach ($away as $i => $v) {
            $parts[intdiv($i, self::PART)][] = $v;
        }
        $parts = array_filter($parts, fn (array $of): bool => count($of) > self::PART / 3);
        if (count($parts) < 2) {
            return [];
        }
        $line = LeastSquares::fit(array_map(floatval(...), array_keys($parts)), array_map(function (array $of): float {
            sort($of);

            return $of[intdiv(count($of), 2)];
        }, array_values($parts)));
        $off = [];
        foreach ($away as $i => $v) {
            $off[$i] = $v - $line->at($i / self::PART - 0.5);
        }
        $sorted = array_values($off);
        sort($sorted);
        [$low, $high] = [$sorted[intdiv(count($sorted), 10)], $sorted[intdiv(9 * count($sorted), 10)]];
        // Of a zigzag nine tenths lie within nine tenths of its width.
        $far = 0.8 * ($high - $low) + 3.0;
        $kept = array_filter($off, fn (float $o): bool => abs($o - ($low + $high) / 2) <= $far);

        return array_intersect_key($away, $kept);
    }

    /**
     * @param  array<int, float>  $away
     * @return list<float> with what is missing on the line between its neighbours
     */
    private static function filled(array $away, int $first, int $last): array
    {
        $line = [];
        $known = $first;
        for ($i = $first; $i <= $last; $i++) {
            if (isset($away[$i])) {
                for ($k = $known + 1; $k < $i; $k++) {
                    $line[] = $away[$known] + ($away[$i] - $away[$known]) * ($k - $known) / ($i - $known);
                }
                $line[] = $away[$i];
                $known = $i;
            }
        }

        return $line;
    }

    /**
     * The period at which it swings most strongly, and where in it a swing begins (a Fourier sum, close to what was found).
     *
     * @param  list<float>  $swing
     * @return array{float, float} steps, and the phase, 0 to 1, at which it crosses its middle upwards
     */
    private static function exact(array $swing, float $about): array
    {
        $best = [-1.0, $about, 0.0];
        $tried = [];
        // A repeat of several strokes may have looked more alike than the next.
        foreach ([1.0, 0.5, 1 / 3, 2.0] as $times) {
            for ($k = -20; $k <= 20; $k++) {
                $tried[] = $times * $about * (1 + $k * 0.0015);
            }
        }
        foreach ($tried as $period) {
            [$re, $im] = [0.0, 0.0];
            $turn = 2 * M_PI / $period;
            foreach ($swing as $i => $v) {
                $re += $v * cos($turn * $i);
                $im += $v * sin($turn * $i);
            }
            $size = $re * $re + $im * $im;
            $best = $size > $best[0] ? [$size, $period, atan2($re, $im) / (2 * M_PI)] : $best;
        }

        // v = A sin(turn i + phase): it crosses upwards where that is nothing.
        return [$best[1], $best[2]];
    }

    /**
     * The middle of the row: the mean over whole periods, in which the swing is nothing; so far from its ends as there are
     * none, the line on which it comes from there.
     *
     * @param  list<float>  $line
     * @return list<float>
     */
    private static function middleOf(array $line, float $period): array
    {
        $n = count($line);
        $half = min((int) round($period * max(1, round(50 / $period)) / 2), intdiv($n, 4));
        $slow = Signal::smoothed($line, $half);
        $inner = range($half, $n - 1 - $half);
        foreach ([[array_slice($inner, 0, 4 * $half), range(0, $half - 1)], [array_slice($inner, -4 * $half), range($n - $half, $n - 1)]] as [$of, $beyond]) {
            $straight = LeastSquares::fit(array_map(floatval(...), $of), array_map(fn (int $i): float => $slow[$i], $of));
            foreach ($beyond as $i) {
                $slow[$i] = $straight->at((float) $i);
            }
        }

        return array_values($slow);
    }

    /**
     * Each stroke by the line through its middle part: where it crosses the middle of the row, and how steeply.
     *
     * @param  array<int, float>  $away
     * @param  list<float>  $slow
     * @return array<int, array{float, float}> by number of the stroke: mm along, and mm across a mm along
     */
    private static function strokes(array $away, array $slow, int $first, float $period, float $phase): array
    {
        $points = $strokes = [];
        $long = $period / 2 * RowStrip::STEP_MM;
        $middle = max(self::LEAST_MIDDLE, min(self::MIDDLE, 0.5 - self::TURNS_MM / $long));
        foreach ($away as $i => $v) {
            $at = ($i - $first) / $period + $phase;
            // Strokes have their middles where it crosses: at whole and half periods.
            $stroke = (int) round(2 * $at);
            if (abs(2 * $at - $stroke) <= $middle) {
                $points[$stroke][] = [(float) $i, $v - ($slow[$i - $first] ?? 0.0)];
            }
        }
        foreach ($points as $stroke => $of) {
            if (count($of) < max(3, (int) (0.5 * $middle * $period))) {
                continue;
            }
            $line = LeastSquares::fit(array_column($of, 0), array_column($of, 1));
            if (abs($line->slope) > 0.05) {
                $strokes[$stroke] = [-$line->intercept / $line->slope * RowStrip::STEP_MM, $line->slope];
            }
        }

        return $strokes;
    }

    /**
     * How much of where the thread is a plain zigzag of this period and width tells: 1 all of it.
     *
     * @param  array<int, float>  $away
     * @param  list<float>  $slow
     * @param  float  $width  steps
     */
    private static function explained(array $away, array $slow, int $first, float $period, float $phase, float $width): float
    {
        [$rest, $all] = [0.0, 1e-9];
        foreach ($away as $i => $v) {
            $at = ($i - $first) / $period + $phase;
            $share = $at - floor($at);
            // Upwards through its middle at 0, at its top a quarter on.
            $is = $width / 2 * ($share < 0.25 ? 4 * $share : ($share < 0.75 ? 2 - 4 * $share : 4 * $share - 4));
            $v -= $slow[$i - $first] ?? 0.0;
            $rest += ($v - $is) ** 2;
            $all += $v * $v;
        }

        return 1 - $rest / $all;
    }

    /**
     * From one stroke to the next: the line through where each crosses, less those that do not fit.
     *
     * @param  array<int, array{float, float}>  $strokes
     */
    private static function each(array $strokes): ?Reading
    {
        $numbers = array_map(floatval(...), array_keys($strokes));
        $places = array_column($strokes, 0);
        $line = null;
        for ($round = 0; $round < 3 && count($numbers) >= self::FEWEST; $round++) {
            $line = LeastSquares::fit($numbers, $places);
            $in = array_keys(array_filter($numbers, fn (float $n, int $i): bool => abs($places[$i] - $line->at($n)) <= max(0.1, 2.5 * $line->residualSd), ARRAY_FILTER_USE_BOTH));
            [$numbers, $places] = [array_map(fn (int $i): float => $numbers[$i], $in), array_map(fn (int $i): float => $places[$i], $in)];
        }
        if ($line === null || count($numbers) < self::FEWEST || $line->slope <= 0 || $line->residualSd > self::UNEVEN * $line->slope) {
            return null;
        }
        // Steps of a feed add up: the ends of the row say more than its scatter does.
        $n = count($numbers);

        return Reading::combined($line->slope, $line->residualSd * sqrt(12) / $n ** 1.5, 0.5 * $line->residualSd / $n, 0.004 * $line->slope);
    }

    /**
     * @param  list<float>  $values  not none
     * @param  float  $stroke  mm along
     */
    private static function typical(array $values, float $stroke): Reading
    {
        sort($values);
        $middle = $values[intdiv(count($values), 2)];
        $apart = array_map(fn (float $v): float => abs($v - $middle), $values);
        sort($apart);

        return Reading::combined($middle, 1.25 * 1.48 * $apart[intdiv(count($apart), 2)] / sqrt(count($values)), 0.05, 0.01 * $middle, self::ROUNDED / max(0.5, $middle * $stroke), self::FILLED / max(0.5, $stroke) ** 2);
    }

    /** @param  list<float>  $slow */
    private static function middle(array $slow, int $first): RowTrace
    {
        $bands = [];
        foreach ($slow as $k => $v) {
            $bands[intdiv($first + $k, RowTrace::BAND)][] = $v;
        }

        return RowTrace::of(array_map(fn (array $of): float => array_sum($of) / count($of), $bands));
    }
}
