<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/**
 * The piece as a whole: the one thing in a small picture that is not the lid, and the smallest rectangle about it. Close to
 * a millimetre; its edges are looked for from there.
 */
final readonly class PieceOutline
{
    /** Pixels of the small picture. */
    public const SMALL = 360;

    /** From so many deviations on a pixel is not the lid; and at least so many shades. */
    private const NOT_LID = 6.0;

    private const LEAST_SHADES = 9.0;

    /** Of the picture. */
    private const LEAST_SHARE = 0.02;

    /** Another thing that large beside it: which is the piece? */
    private const OTHER_SHARE = 0.35;

    /** Of the rectangle about it. */
    private const FULL = 0.86;

    /** Of the rim: more of it is not the lid. */
    private const MOST_STRANGE = 0.12;

    /** Thinner than twice that and one is a thread that hangs from it, pixels. */
    private const THIN = 2;

    /** @param  list<array{float, float}>  $corners  of the rectangle, one after the other clockwise, as shares of the picture's sides */
    private function __construct(public array $corners) {}

    /** @param  bool  $bare  without the ends of thread that hang from it */
    public static function find(Raster $small, Lid $lid, bool $bare = false): self|CannotRead
    {
        $found = $lid->strange > self::MOST_STRANGE ? CannotRead::CutOff : self::among(self::mask($small, $lid), $small, $bare);
        if ($found instanceof self) {
            return $found;
        }
        // Under a shadow the lid is no smooth surface: what can be reached from the rim is the lid.
        $grown = GrownLid::mask($small);
        $again = $grown === null ? $found : self::among($grown, $small, $bare);

        return $again instanceof self ? $again : $found;
    }

    /** @param  list<int>  $mask  1 where the picture is not the lid */
    private static function among(array $mask, Raster $small, bool $bare): self|CannotRead
    {
        [$w, $h] = [$small->width, $small->height];
        $parts = self::parts($bare ? self::opened($mask, $w) : $mask, $w, $h);
        if ($parts === [] || $parts[0]['size'] < self::LEAST_SHARE * $w * $h) {
            return CannotRead::NoPiece;
        }
        if ($parts[0]['touches'] > 2) {
            return CannotRead::CutOff;
        }
        if (($parts[1]['size'] ?? 0) > self::OTHER_SHARE * $parts[0]['size']) {
            return CannotRead::SeveralPieces;
        }
        $hull = self::hull($parts[0]['rim']);
        [$corners, $area] = self::around($hull);
        // Printed cloth may have places as the lid is: what lies within the piece is the piece.
        $filled = self::area($hull);
        if ($filled < self::FULL * $area || $parts[0]['size'] < 0.3 * $filled) {
            return CannotRead::NoPiece;
        }

        return new self(array_map(fn (array $p): array => [($p[0] + 0.5) / $w, ($p[1] + 0.5) / $h], $corners));
    }

    /**
     * What is left when all that is thin is taken away: made smaller by a few pixels all about, and as large as before again
     * (an opening; Matheron, 1975).
     *
     * @param  list<int>  $mask
     * @return list<int>
     */
    private static function opened(array $mask, int $w): array
    {
        $whole = (2 * self::THIN + 1) ** 2;
        $kept = array_map(fn (int $n): int => $n === $whole ? 1 : 0, self::near($mask, $w));

        return array_map(fn (int $n): int => $n > 0 ? 1 : 0, self::near($kept, $w));
    }

    /**
     * @param  list<int>  $mask
     * @return list<int> how many of the pixels about each are set, itself too
     */
    private static function near(array $mask, int $w): array
    {
        $h = intdiv(count($mask), $w);
        $level = [];
        for ($y = 0; $y < $h; $y++) {
            array_push($level, ...self::sums(array_slice($mask, $y * $w, $w)));
        }
        $near = array_fill(0, $w * $h, 0);
        for ($x = 0; $x < $w; $x++) {
            $column = [];
            for ($y = 0; $y < $h; $y++) {
                $column[] = $level[$y * $w + $x];
            }
            foreach (self::sums($column) as $y => $n) {
                $near[$y * $w + $x] = $n;
            }
        }

        return array_values($near);
    }

    /**
     * @param  list<int>  $of
     * @return list<int> each with those next to it on both sides, beyond its ends none
     */
    private static function sums(array $of): array
    {
        $sums = [];
        $here = 0;
        foreach (range(0, count($of) + self::THIN - 1) as $i) {
            $here += ($of[$i] ?? 0) - ($of[$i - 2 * self::THIN - 1] ?? 0);
            if ($i >= self::THIN) {
                $sums[] = $here;
            }
        }

        return $sums;
    }

    /** @return list<int> 1 where the picture is not the lid */
    private static function mask(Raster $small, Lid $lid): array
    {
        [$w, $h] = [$small->width, $small->height];
        $limit = max(self::LEAST_SHADES, self::NOT_LID * $lid->noise) ** 2;
        $mask = [];
        for ($y = 0; $y < $h; $y++) {
            $row = $small->row($y);
            // The shade of the lid changes slowly: a line between both ends of a row and its middle follows it.
            [$l, $c, $r] = [$lid->at(0.0, $y / $h), $lid->at(0.5, $y / $h), $lid->at(1.0, $y / $h)];
            for ($x = 0; $x < $w; $x++) {
                $u = $x / $w;
                // Through three points: exact for what changes by squares.
                [$a, $b, $d] = [(1 - $u) * (1 - 2 * $u), 4 * $u * (1 - $u), $u * (2 * $u - 1)];
                $off = 0.0;
                for ($k = 0; $k < 3; $k++) {
                    $e = $row[3 * $x + $k] - $a * $l[$k] - $b * $c[$k] - $d * $r[$k];
                    $off += $e * $e;
                }
                $mask[] = $off > $limit ? 1 : 0;
            }
        }

        return $mask;
    }

    /**
     * What hangs together, the largest first.
     *
     * @param  list<int>  $mask
     * @return list<array{size: int, touches: int, rim: list<array{int, int}>}> touches: pixels at the rim of the picture; rim: the ends of each of its rows
     */
    private static function parts(array $mask, int $w, int $h): array
    {
        $parts = [];
        for ($i = 0; $i < $w * $h; $i++) {
            if ($mask[$i] !== 1) {
                continue;
            }
            $mask[$i] = 2;
            $todo = [$i];
            [$size, $touches, $ends] = [0, 0, []];
            while ($todo !== []) {
                $at = array_pop($todo);
                $size++;
                $x = $at % $w;
                $y = intdiv($at, $w);
                $touches += $x === 0 || $y === 0 || $x === $w - 1 || $y === $h - 1 ? 1 : 0;
                $ends[$y] = isset($ends[$y]) ? [min($ends[$y][0], $x), max($ends[$y][1], $x)] : [$x, $x];
                foreach ([$x > 0 ? $at - 1 : -1, $x < $w - 1 ? $at + 1 : -1, $at - $w, $at + $w] as $next) {
                    if (($mask[$next] ?? 0) === 1) {
                        $mask[$next] = 2;
                        $todo[] = $next;
                    }
                }
            }
            $rim = [];
            foreach ($ends as $y => [$a, $b]) {
                array_push($rim, [$a, $y], [$b, $y]);
            }
            $parts[] = ['size' => $size, 'touches' => $touches, 'rim' => $rim];
        }
        usort($parts, fn (array $a, array $b): int => $b['size'] <=> $a['size']);

        return $parts;
    }

    /**
     * The convex hull (Andrew's monotone chain, 1979), clockwise as seen on a picture whose y goes down.
     *
     * @param  list<array{int, int}>  $points
     * @return list<array{int, int}>
     */
    private static function hull(array $points): array
    {
        sort($points);

        return [...self::half($points), ...self::half(array_reverse($points))];
    }

    /**
     * @param  list<array{int, int}>  $points
     * @return list<array{int, int}> without the last, which is the first of the other half
     */
    private static function half(array $points): array
    {
        $chain = [];
        foreach ($points as $p) {
            while (($n = count($chain)) >= 2 && ($chain[$n - 1][0] - $chain[$n - 2][0]) * ($p[1] - $chain[$n - 2][1]) - ($chain[$n - 1][1] - $chain[$n - 2][1]) * ($p[0] - $chain[$n - 2][0]) <= 0) {
                array_pop($chain);
            }
            $chain[] = $p;
        }
        array_pop($chain);

        return $chain;
    }

    /** @param  list<array{int, int}>  $hull */
    private static function area(array $hull): float
    {
        $sum = 0.0;
        $n = count($hull);
        foreach ($hull as $i => $p) {
            $q = $hull[($i + 1) % $n];
            $sum += $p[0] * $q[1] - $q[0] * $p[1];
        }

        return abs($sum) / 2;
    }

    /**
     * The smallest rectangle about it lies along one of its sides (Freeman and Shapira, 1975).
     *
     * @param  list<array{int, int}>  $hull
     * @return array{list<array{float, float}>, float} corners one after the other, and its area
     */
    private static function around(array $hull): array
    {
        $best = [[], INF];
        $n = count($hull);
        foreach ($hull as $i => $p) {
            $q = $hull[($i + 1) % $n];
            $long = hypot($q[0] - $p[0], $q[1] - $p[1]);
            // A short side of pixels says little of a direction.
            if ($long < 4) {
                continue;
            }
            [$c, $s] = [($q[0] - $p[0]) / $long, ($q[1] - $p[1]) / $long];
            $along = array_map(fn (array $r): float => $c * $r[0] + $s * $r[1], $hull);
            $across = array_map(fn (array $r): float => $c * $r[1] - $s * $r[0], $hull);
            [$a, $b, $u, $v] = [min($along), max($along), min($across), max($across)];
            if (($b - $a) * ($v - $u) < $best[1]) {
                $back = fn (float $x, float $y): array => [$c * $x - $s * $y, $s * $x + $c * $y];
                $best = [[$back($a, $u), $back($b, $u), $back($b, $v), $back($a, $v)], ($b - $a) * ($v - $u)];
            }
        }

        return $best;
    }
}
