<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/**
 * The lid under a shadow: all that is reached from the rim of the picture without a sudden change of shade. A shadow's edge is
 * soft, the edge of cloth is not.
 */
final class GrownLid
{
    /** From pixel to pixel of a small picture: more is an edge, shades of three channels together; and as a multiple of what is usual along the rim. */
    private const STEP = 7.0;

    private const STEP_OF = 3.5;

    /** Along the rim over three pixels: more is the edge of what lies across it. */
    private const ACROSS = 20.0;

    private const ACROSS_OF = 7.0;

    /** Of the rim: something may lie over so little of it, a finger at a corner. */
    private const MOST_STRANGE = 0.1;

    /** @return list<int>|null 1 where the picture is not the lid, row by row; null where something lies over more than a little of the rim */
    public static function mask(Raster $small): ?array
    {
        [$w, $h] = [$small->width, $small->height];
        $shades = self::smoothed($small);
        $rim = [];
        for ($x = 1; $x < $w - 1; $x++) {
            $rim[] = $w + $x;
        }
        for ($y = 1; $y < $h - 1; $y++) {
            $rim[] = $y * $w + $w - 2;
        }
        for ($x = $w - 2; $x > 0; $x--) {
            $rim[] = ($h - 2) * $w + $x;
        }
        for ($y = $h - 2; $y > 0; $y--) {
            $rim[] = $y * $w + 1;
        }
        $usual = array_map(fn (int $i): float => self::apart($shades[$rim[$i]], $shades[$rim[($i + 1) % count($rim)]]), array_keys($rim));
        sort($usual);
        $usual = $usual[intdiv(count($usual), 2)] ?? 0.0;
        [$step, $across] = [max(self::STEP, self::STEP_OF * $usual), max(self::ACROSS, self::ACROSS_OF * $usual)];
        $todo = self::lid($rim, array_map(fn (int $i): bool => self::apart($shades[$rim[$i]], $shades[$rim[($i + 3) % count($rim)]]) > $across, array_keys($rim)));
        if ($todo === null) {
            return null;
        }
        $mask = array_fill(0, $w * $h, 1);
        foreach ($todo as $at) {
            $mask[$at] = 0;
        }
        while ($todo !== []) {
            $at = array_pop($todo);
            $x = $at % $w;
            foreach ([$x > 0 ? $at - 1 : -1, $x < $w - 1 ? $at + 1 : -1, $at - $w, $at + $w] as $next) {
                // Both ways about it, not only the way it is come to: along an edge that is a little turned each step alone is a small one.
                if (($mask[$next] ?? 0) !== 1) {
                    continue;
                }
                [$u, $here] = [$next % $w, $shades[$next]];
                $level = self::apart($u > 0 ? $shades[$next - 1] : $here, $u < $w - 1 ? $shades[$next + 1] : $here);
                $upright = self::apart($shades[$next - $w] ?? $here, $shades[$next + $w] ?? $here);
                if (max($level, $upright) <= 2 * $step) {
                    $mask[$next] = 0;
                    $todo[] = $next;
                }
            }
        }

        return array_values($mask);
    }

    /**
     * What of the rim is the lid: its longest part between two sudden changes, if that is nearly all of it.
     *
     * @param  list<int>  $rim
     * @param  list<bool>  $sudden  whether it changes suddenly from a place on
     * @return list<int>|null
     */
    private static function lid(array $rim, array $sudden): ?array
    {
        $n = count($rim);
        $first = array_search(true, $sudden, true);
        if ($first === false) {
            return $rim;
        }
        $best = $part = [];
        for ($k = 1; $k <= $n; $k++) {
            $i = ($first + $k) % $n;
            if ($sudden[$i]) {
                $best = count($part) > count($best) ? $part : $best;
                $part = [];
            } else {
                $part[] = $rim[$i];
            }
        }
        // Three places are looked at together: the first ones after a change may still be of what lies there.
        $best = array_slice($best, 3);

        return count($best) < (1 - self::MOST_STRANGE) * $n ? null : $best;
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     */
    private static function apart(array $a, array $b): float
    {
        return abs($a[0] - $b[0]) + abs($a[1] - $b[1]) + abs($a[2] - $b[2]);
    }

    /** @return list<array{float, float, float}> each the mean of it and the eight about it */
    private static function smoothed(Raster $small): array
    {
        [$w, $h] = [$small->width, $small->height];
        $rows = array_map($small->row(...), range(0, $h - 1));
        $shades = [];
        for ($y = 0; $y < $h; $y++) {
            $near = [$rows[max(0, $y - 1)], $rows[$y], $rows[min($h - 1, $y + 1)]];
            for ($x = 0; $x < $w; $x++) {
                $sum = [0, 0, 0];
                foreach ([max(0, $x - 1), $x, min($w - 1, $x + 1)] as $u) {
                    foreach ($near as $row) {
                        $sum[0] += $row[3 * $u];
                        $sum[1] += $row[3 * $u + 1];
                        $sum[2] += $row[3 * $u + 2];
                    }
                }
                $shades[] = [$sum[0] / 9, $sum[1] / 9, $sum[2] / 9];
            }
        }

        return $shades;
    }
}
