<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;

/**
 * One edge of the piece: where the shade turns from the lid's to the cloth's, every half millimetre, and the line through
 * most of these places. What strays from it, a frayed thread or a fold, is left out of the line but known by its place.
 */
final readonly class PieceEdge
{
    /** Looked at on both sides of where it should be, mm. */
    private const REACH_MM = 4.0;

    private const EVERY_MM = 0.6;

    /** Corners are frayed and round. */
    private const FREE_OF_CORNER = 0.06;

    /** Shades are the mean of so much along the way across, mm. */
    private const SMOOTH_MM = 0.3;

    /** The cloth goes on behind it for so long, mm: a thread that sticks out does not. */
    private const GOES_ON_MM = 0.8;

    /** Before and behind an edge shades are compared over so much, mm. */
    private const RISE_MM = 0.5;

    /** An edge is so large a part of the way from the lid to what is furthest from it; and at least so many shades. */
    private const STEP = 0.3;

    private const LEAST_SHADES = 8.0;

    /** Further from the line than this is none of it, mm. */
    private const OFF_MM = 0.8;

    /** Of the places. */
    private const AGREE = 0.6;

    /** Local bends are followed over so much of the edge on both sides, mm. */
    private const LOCAL_MM = 6.0;

    /**
     * @param  array{float, float}  $from  its beginning, mm
     * @param  array{float, float}  $along  direction of length one
     * @param  list<array{float, float}>  $places  along it and off the line inwards, mm
     */
    private function __construct(public array $from, public array $along, public float $long, public float $scatter, private array $places) {}

    /**
     * @param  array{float, float}  $a  about its beginning, mm
     * @param  array{float, float}  $b  about its end; the piece lies to the right of the way from one to the other, as seen on a picture whose y goes down
     */
    public static function find(LaidFlat $picture, array $a, array $b): ?self
    {
        $long = hypot($b[0] - $a[0], $b[1] - $a[1]);
        if ($long < 10.0) {
            return null;
        }
        $along = [($b[0] - $a[0]) / $long, ($b[1] - $a[1]) / $long];
        $in = [-$along[1], $along[0]];
        [$ts, $vs] = [[], []];
        for ($t = self::FREE_OF_CORNER * $long; $t <= (1 - self::FREE_OF_CORNER) * $long; $t += self::EVERY_MM) {
            $v = self::crossing($picture, [$a[0] + $t * $along[0], $a[1] + $t * $along[1]], $in);
            if ($v !== null) {
                [$ts[], $vs[]] = [$t, $v];
            }
        }
        if (count($ts) < 8 || count($ts) * self::EVERY_MM < 0.5 * $long) {
            return null;
        }
        $line = self::through($ts, $vs);
        if ($line === null) {
            return null;
        }
        // The line as it really runs: its own beginning and direction.
        $turn = atan($line->slope);
        [$c, $s] = [cos($turn), sin($turn)];
        $dir = [$along[0] * $c + $in[0] * $s, $along[1] * $c + $in[1] * $s];
        $from = [$a[0] + $line->intercept * $in[0], $a[1] + $line->intercept * $in[1]];
        $places = [];
        foreach ($ts as $i => $t) {
            $places[] = [$t / $c + ($vs[$i] - $line->at($t)) * $s, ($vs[$i] - $line->at($t)) * $c];
        }

        return new self($from, $dir, $long / $c, max(0.01, $line->residualSd), $places);
    }

    /**
     * So far along from where the piece begins at it, and so far inwards.
     *
     * @return array{float, float} a place in the picture, mm
     */
    public function place(float $begins, float $along, float $in): array
    {
        $t = $begins + $along;

        return [$this->from[0] + $t * $this->along[0] - $in * $this->along[1], $this->from[1] + $t * $this->along[1] + $in * $this->along[0]];
    }

    /** How far along it the other one crosses it, mm. */
    public function meets(self $other): ?float
    {
        $det = $this->along[0] * $other->along[1] - $this->along[1] * $other->along[0];

        return abs($det) < 0.3 ? null : (($other->from[0] - $this->from[0]) * $other->along[1] - ($other->from[1] - $this->from[1]) * $other->along[0]) / $det;
    }

    /** @return array{float, float} how far inwards of its line the cloth really begins about there, mm, and the standard uncertainty of that */
    public function bendAt(float $along): array
    {
        $near = array_values(array_map(fn (array $p): float => $p[1], array_filter($this->places, fn (array $p): bool => abs($p[0] - $along) <= self::LOCAL_MM && abs($p[1]) <= 2 * self::OFF_MM)));
        if (count($near) < 5) {
            return [0.0, $this->scatter];
        }
        sort($near);
        $middle = $near[intdiv(count($near), 2)];
        $apart = array_map(fn (float $v): float => abs($v - $middle), $near);
        sort($apart);

        // A median of n values is known to 1.25 of their deviation by √n; the deviation is 1.48 of the median distance (normal).
        return [$middle, 1.25 * 1.48 * $apart[intdiv(count($apart), 2)] / sqrt(count($near) / 2)];
    }

    /**
     * Where the cloth begins on the way inwards, mm from where it was thought to; null where both sides look alike.
     *
     * @param  array{float, float}  $at
     * @param  array{float, float}  $in
     */
    private static function crossing(LaidFlat $picture, array $at, array $in): ?float
    {
        $step = $picture->step();
        $n = (int) ceil(2 * self::REACH_MM / $step);
        $seen = $picture->line($at[0] - self::REACH_MM * $in[0], $at[1] - self::REACH_MM * $in[1], $step * $in[0], $step * $in[1], $n + 1);
        $seen = array_values(array_filter($seen, fn (?array $s): bool => $s !== null));
        // Beside the picture there is no lid: begun later.
        $lost = $n + 1 - count($seen);
        $few = (int) ceil(1.0 / $step);
        if (count($seen) < 5 * $few) {
            return null;
        }
        $lid = self::mean(array_slice($seen, 0, $few));
        // How far from the lid's shade: the cloth may begin with a stripe of another colour than it has further in.
        $off = Signal::smoothed(array_map(fn (array $s): float => sqrt(($s[0] - $lid[0]) ** 2 + ($s[1] - $lid[1]) ** 2 + ($s[2] - $lid[2]) ** 2), $seen), max(1, (int) round(self::SMOOTH_MM / 2 / $step)));
        $i = self::rise($off, max(2, (int) round(self::RISE_MM / $step)), max(2, (int) round(self::GOES_ON_MM / $step)));
        if ($i === null) {
            return null;
        }
        // Half way up from what is before it to what is behind it.
        $wide = max(2, (int) round(self::RISE_MM / $step));
        $gap = intdiv($wide, 2);
        $half = (array_sum(array_slice($off, max(0, $i - $gap - $wide), $wide)) + array_sum(array_slice($off, $i + $gap, $wide))) / 2 / $wide;
        for ($k = max(1, $i - $wide); $k <= min($i + $wide, count($off) - 1); $k++) {
            if ($off[$k - 1] < $half && $off[$k] >= $half) {
                return -self::REACH_MM + ($lost + $k - ($off[$k] - $half) / max(0.01, $off[$k] - $off[$k - 1])) * $step;
            }
        }

        return null;
    }

    /**
     * The first place where it turns from the lid to something else: a shadow comes slowly, a thread that sticks out does not go on.
     *
     * @param  list<float>  $off  from the lid's shade
     */
    private static function rise(array $off, int $wide, int $run): ?int
    {
        $sums = Signal::sums($off);
        $n = count($off);
        $most = $off;
        sort($most);
        $most = $most[(int) (0.9 * ($n - 1))];
        if ($most < self::LEAST_SHADES) {
            return null;
        }
        $best = null;
        for ($i = $wide; $i < $n - $run; $i++) {
            $up = ($sums[$i + $wide] - 2 * $sums[$i] + $sums[$i - $wide]) / $wide;
            $on = ($sums[$i + $run] - $sums[$i]) / $run;
            if ($up >= max(self::LEAST_SHADES, self::STEP * $most) && $on >= self::STEP * $most) {
                $best = $best === null || $up > $best[0] ? [$up, $i] : $best;
            } elseif ($best !== null) {
                break;
            }
        }

        return $best[1] ?? null;
    }

    /**
     * @param  list<array{float, float, float}>  $seen
     * @return array{float, float, float}
     */
    private static function mean(array $seen): array
    {
        $n = max(1, count($seen));

        return [array_sum(array_column($seen, 0)) / $n, array_sum(array_column($seen, 1)) / $n, array_sum(array_column($seen, 2)) / $n];
    }

    /**
     * A line through most of the places.
     *
     * @param  list<float>  $ts
     * @param  list<float>  $vs
     */
    private static function through(array $ts, array $vs): ?LeastSquares
    {
        // Through the middle of the steps between places far apart: what strays does not pull at it (Theil, 1950).
        $half = intdiv(count($ts), 2);
        $slopes = [];
        for ($i = 0; $i < $half; $i++) {
            $slopes[] = ($vs[$i + $half] - $vs[$i]) / ($ts[$i + $half] - $ts[$i]);
        }
        sort($slopes);
        $slope = $slopes[intdiv(count($slopes), 2)];
        $rests = array_map(fn (float $v, float $t): float => $v - $slope * $t, $vs, $ts);
        sort($rests);
        $line = null;
        $at = fn (float $t): float => $slope * $t + $rests[intdiv(count($rests), 2)];
        foreach ([self::OFF_MM, 0.7 * self::OFF_MM] as $off) {
            $in = array_values(array_filter(array_keys($ts), fn (int $i): bool => abs($vs[$i] - $at($ts[$i])) <= $off));
            if (count($in) < self::AGREE * count($ts)) {
                return $line;
            }
            $line = LeastSquares::fit(array_map(fn (int $i): float => $ts[$i], $in), array_map(fn (int $i): float => $vs[$i], $in));
            $at = $line->at(...);
        }

        return $line;
    }
}
