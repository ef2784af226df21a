<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Deadline;
use OpenSeam\Core\Near;

/**
 * Where a row of buttonholes sits: evenly between a first and a last that may
 * each move a little, so that named points (fullest of the chest, waist) have
 * one. For a number of holes and for holes chosen to lie at the points, the
 * worst distance is the largest of affine functions of the two shifts; its least
 * value lies where three of them or of the bounds meet (a linear program in three
 * unknowns), and the smallest shift that keeps it where two do. All such points
 * are few, and are tried. Lengths in mm along the band.
 *
 * A row is a, b and c of: a·first shift + b·last shift + c.
 *
 * @phpstan-type Row array{float, float, float}
 */
final readonly class Placing
{
    /** Planes that lean so little against each other do not meet. */
    private const PARALLEL = 1e-12;

    /** [mm] Two holes are two. */
    private const LEAST_SPACING_MM = 0.001;

    /** @param  list<float>  $positionsMm */
    private function __construct(
        public int $count,
        public float $firstMm,
        public float $lastMm,
        public float $spacingMm,
        public array $positionsMm,
        /** From a named point to its nearest hole, the worst of them; null where none is named. */
        public ?float $worstMm,
        /** How far both ends moved, together. */
        public float $shiftMm,
        /** There is no better row of so many. */
        public bool $proven = true,
    ) {}

    /**
     * The best for each number of holes that fits.
     *
     * @param  list<float>  $anchorsMm  0 to 3 named points
     * @param  Deadline|null  $deadline  after it the nearest holes alone are tried, and said not to be proven
     * @return list<self> smallest worst distance first, then the smallest shift, then the fewest
     */
    public static function choices(float $firstMm, float $lastMm, float $slackMm, int $least, int $most, array $anchorsMm, float $leastSpacingMm = 0.0, ?Deadline $deadline = null): array
    {
        sort($anchorsMm);
        $choices = [];
        for ($count = $least; $count <= $most; $count++) {
            $choices[] = $count === 1 ? self::alone($firstMm, $lastMm, $slackMm, $anchorsMm) : self::of($firstMm, $lastMm, $slackMm, $count, $anchorsMm, $leastSpacingMm, $deadline ?? Deadline::never());
        }
        $choices = array_values(array_filter($choices));
        $rank = fn (self $c): array => [round($c->worstMm ?? 0.0, 6), round($c->shiftMm, 6), $c->count];
        usort($choices, fn (self $a, self $b): int => $rank($a) <=> $rank($b));

        return $choices;
    }

    /**
     * One alone lies where the named points want it, or at the first.
     *
     * @param  list<float>  $anchorsMm
     */
    private static function alone(float $first, float $last, float $slack, array $anchorsMm): self
    {
        $wanted = $anchorsMm === [] ? $first : (min($anchorsMm) + max($anchorsMm)) / 2;
        $at = min($last + $slack, max($first - $slack, $wanted));
        $shift = max(0.0, $first - $at, $at - $last);

        return new self(1, $at, $at, 0.0, [$at], $anchorsMm === [] ? null : max(array_map(fn (float $a): float => abs($a - $at), $anchorsMm)), $shift);
    }

    /** @param  list<float>  $anchors */
    private static function of(float $first, float $last, float $slack, int $count, array $anchors, float $leastSpacing, Deadline $deadline): ?self
    {
        $gaps = $count - 1;
        // What each shift may be, and that the holes keep their distance: row ≤ 0.
        $bounds = [[1.0, 0.0, -$slack], [-1.0, 0.0, -$slack], [0.0, 1.0, -$slack], [0.0, -1.0, -$slack], [1.0, -1.0, $first - $last + $gaps * max($leastSpacing, self::LEAST_SPACING_MM)]];
        $best = null;
        $proven = true;
        foreach (self::meant($first, $last, $slack, $gaps, $anchors) as [$atLeast, $far, $holes]) {
            if ($best !== null && $atLeast > $best[0] + Near::WHOLE) {
                break;
            }
            // A hole moves by no more than both ends together: what is further away takes the larger shift.
            if ($best !== null && $best[0] <= $atLeast + Near::WHOLE && $far - $best[0] >= $best[1] - Near::WHOLE) {
                continue;
            }
            if ($best !== null && $deadline->passed()) {
                $proven = false;
                break;
            }
            $rows = [];
            foreach ($holes as $k => $i) {
                $share = $i / $gaps;
                $rows[] = [1 - $share, $share, $first + $share * ($last - $first) - $anchors[$k]];
            }
            $worst = self::leastWorst($rows, $bounds);
            if ($worst === null || ($best !== null && $worst > $best[0] + Near::WHOLE)) {
                continue;
            }
            [$a, $b] = self::leastShift($rows, $bounds, $worst);
            $shift = abs($a) + abs($b);
            if ($best === null || $worst < $best[0] - Near::WHOLE || $shift < $best[1] - Near::WHOLE) {
                $best = [$worst, $shift, $a, $b];
            }
        }
        if ($best === null) {
            return null;
        }
        [$f, $l] = [$first + $best[2], $last + $best[3]];
        $even = Spacing::even($f, $l, $count);
        $worst = $anchors === [] ? null : max(array_map($even->awayFrom(...), $anchors));

        return new self($count, $f, $l, $even->spacingMm, $even->positionsMm, $worst, $best[1], $proven);
    }

    /**
     * Which holes could be meant for the named points, the most promising first.
     *
     * @param  list<float>  $anchors  in order
     * @return list<array{float, float, list<int>}> what the worst distance cannot be under, the furthest hole meant as it lies, a hole for each point
     */
    private static function meant(float $first, float $last, float $slack, int $gaps, array $anchors): array
    {
        $long = $last - $first;
        $ways = [[0.0, 0.0, []]];
        foreach ($anchors as $k => $anchor) {
            $next = [];
            foreach ($ways as [$least, $far, $holes]) {
                for ($i = $holes === [] ? 0 : $holes[$k - 1]; $i <= $gaps; $i++) {
                    $off = abs($first + $i / $gaps * $long - $anchor);
                    // A hole moves by the slack at most.
                    $bound = max($least, $off - $slack);
                    foreach ($holes as $m => $hole) {
                        // And two of them keep a distance between that of the shortest row and that of the longest.
                        $apart = $anchor - $anchors[$m];
                        $share = ($i - $hole) / $gaps;
                        $bound = max($bound, ($share * ($long - 2 * $slack) - $apart) / 2, ($apart - $share * ($long + 2 * $slack)) / 2);
                    }
                    $next[] = [$bound, max($far, $off), [...$holes, $i]];
                }
            }
            // The holes that lie nearest come at least so near.
            $least = $next === [] ? 0.0 : min(array_map(fn (array $w): float => $w[1], $next));
            $ways = array_values(array_filter($next, fn (array $w): bool => $w[0] <= $least + Near::WHOLE));
        }
        usort($ways, fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return $ways;
    }

    /**
     * @param  list<Row>  $rows
     * @param  list<Row>  $bounds
     * @return float|null null where no shift keeps the bounds
     */
    private static function leastWorst(array $rows, array $bounds): ?float
    {
        // Each row at most w and at least −w: a·x + b·y + c − w ≤ 0.
        $planes = array_merge(
            array_map(fn (array $r): array => [$r[0], $r[1], -1.0, $r[2]], $rows),
            array_map(fn (array $r): array => [-$r[0], -$r[1], -1.0, -$r[2]], $rows),
            [[0.0, 0.0, -1.0, 0.0]],
            array_map(fn (array $r): array => [$r[0], $r[1], 0.0, $r[2]], $bounds),
        );
        $least = null;
        $n = count($planes);
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 1; $j < $n; $j++) {
                for ($k = $j + 1; $k < $n; $k++) {
                    $at = self::meet($planes[$i], $planes[$j], $planes[$k]);
                    if ($at !== null && ($least === null || $at[2] < $least) && self::keeps($planes, $at)) {
                        $least = $at[2];
                    }
                }
            }
        }

        return $least === null ? null : max(0.0, $least);
    }

    /**
     * @param  list<Row>  $rows
     * @param  list<Row>  $bounds
     * @return array{float, float} the shifts of first and last
     */
    private static function leastShift(array $rows, array $bounds, float $worst): array
    {
        $lines = array_merge(
            array_map(fn (array $r): array => [$r[0], $r[1], 0.0, $r[2] - $worst], $rows),
            array_map(fn (array $r): array => [-$r[0], -$r[1], 0.0, -$r[2] - $worst], $rows),
            array_map(fn (array $r): array => [$r[0], $r[1], 0.0, $r[2]], $bounds),
        );
        // The sum of both shifts turns only where one of them is nothing.
        $edges = [...$lines, [1.0, 0.0, 0.0, 0.0], [0.0, 1.0, 0.0, 0.0]];
        $best = [0.0, 0.0];
        $sum = INF;
        foreach ($edges as $i => $one) {
            foreach (array_slice($edges, $i + 1) as $two) {
                $at = self::meet($one, $two, [0.0, 0.0, 1.0, 0.0]);
                if ($at !== null && abs($at[0]) + abs($at[1]) < $sum - Near::DUST && self::keeps($lines, $at)) {
                    [$best, $sum] = [[$at[0], $at[1]], abs($at[0]) + abs($at[1])];
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<array{float, float, float, float}>  $planes
     * @param  array{float, float, float}  $at
     */
    private static function keeps(array $planes, array $at): bool
    {
        foreach ($planes as [$a, $b, $c, $d]) {
            if ($a * $at[0] + $b * $at[1] + $c * $at[2] + $d > Near::WHOLE) {
                return false;
            }
        }

        return true;
    }

    /**
     * Where three planes meet (Cramer's rule).
     *
     * @param  array{float, float, float, float}  $p
     * @param  array{float, float, float, float}  $q
     * @param  array{float, float, float, float}  $r
     * @return array{float, float, float}|null
     */
    private static function meet(array $p, array $q, array $r): ?array
    {
        $det = fn (int $i, int $j, int $k): float => $p[$i] * ($q[$j] * $r[$k] - $q[$k] * $r[$j]) - $p[$j] * ($q[$i] * $r[$k] - $q[$k] * $r[$i]) + $p[$k] * ($q[$i] * $r[$j] - $q[$j] * $r[$i]);
        $whole = $det(0, 1, 2);

        return abs($whole) < self::PARALLEL ? null : [-$det(3, 1, 2) / $whole, -$det(0, 3, 2) / $whole, -$det(0, 1, 3) / $whole];
    }
}
