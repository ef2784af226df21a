<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/**
 * Round dark things on light ground in a picture, however it was lit: what is darker than what lies about it, hangs together
 * and fills an ellipse. Buttons and pins of a card are among them.
 *
 * @phpstan-type Spot array{x: float, y: float, a: float, b: float, turn: float}
 */
final class CardSpots
{
    /** Pixels of the small picture they are looked for in. */
    private const SMALL = 1000;

    /** Light about a place is the mean over such a part of the longer side, on both sides of it. */
    private const ABOUT = 0.04;

    /** Darker than that part of the light about it. */
    private const DARK = 0.72;

    private const LEAST_PIXELS = 14;

    /** Of the picture. */
    private const MOST_SHARE = 0.012;

    /** Shorter against longer axis: seen under some 55 degrees. */
    private const FLATTEST = 0.5;

    /** How far an area may be from that of the ellipse with the same moments. */
    private const ROUND = 0.1;

    private const SMALL_ROUND = 0.2;

    private const SMALL_AREA = 90;

    /** @return list<Spot> the largest first: middle, half axes and turn of each, pixels of the picture */
    public static function in(Raster $picture): array
    {
        $small = $picture->small(self::SMALL);
        $by = $picture->width / $small->width;
        $spots = [];
        foreach (self::parts(self::dark($small), $small->width, $small->height) as $pixels) {
            // A thin ring about something large is few pixels and no spot.
            $spot = self::boxed($pixels, $small->width) > 2 * self::MOST_SHARE * $small->width * $small->height ? null : self::ellipse($pixels, $small->width);
            if ($spot !== null) {
                $spots[] = ['x' => ($spot['x'] + 0.5) * $by, 'y' => ($spot['y'] + 0.5) * $by, 'a' => $spot['a'] * $by, 'b' => $spot['b'] * $by, 'turn' => $spot['turn']];
            }
        }
        usort($spots, fn (array $p, array $q): int => $q['a'] * $q['b'] <=> $p['a'] * $p['b']);

        return $spots;
    }

    /** @return array<int, true> places that are darker than what lies about them */
    private static function dark(Raster $small): array
    {
        [$w, $h] = [$small->width, $small->height];
        $grey = [];
        // Sums of all above and to the left of a place, with a row and a column of nothing before them.
        $sums = array_fill(0, $w + 1, 0);
        for ($y = 0; $y < $h; $y++) {
            $row = $small->row($y);
            $sum = 0;
            $sums[] = 0;
            $above = $y * ($w + 1) + 1;
            for ($x = 0; $x < $w; $x++) {
                $g = $row[3 * $x] + 2 * $row[3 * $x + 1] + $row[3 * $x + 2];
                $grey[] = $g;
                $sum += $g;
                $sums[] = $sum + $sums[$above + $x];
            }
        }
        $r = max(4, (int) round(self::ABOUT * max($w, $h)));
        $dark = [];
        for ($y = 0; $y < $h; $y++) {
            [$t, $b] = [max(0, $y - $r), min($h, $y + $r + 1)];
            [$up, $down] = [$t * ($w + 1), $b * ($w + 1)];
            for ($x = 0; $x < $w; $x++) {
                $l = $x < $r ? 0 : $x - $r;
                $e = $x + $r >= $w ? $w : $x + $r + 1;
                if (self::DARK * ($sums[$down + $e] - $sums[$down + $l] - $sums[$up + $e] + $sums[$up + $l]) > $grey[$y * $w + $x] * ($e - $l) * ($b - $t)) {
                    $dark[$y * $w + $x] = true;
                }
            }
        }

        return $dark;
    }

    /**
     * @param  array<int, true>  $dark
     * @return iterable<non-empty-list<int>> what hangs together and does not reach the rim of the picture
     */
    private static function parts(array $dark, int $w, int $h): iterable
    {
        $most = (int) (self::MOST_SHARE * $w * $h);
        $left = $dark;
        foreach (array_keys($dark) as $first) {
            if (! isset($left[$first])) {
                continue;
            }
            unset($left[$first]);
            [$todo, $found, $whole] = [[$first], [$first], true];
            while ($todo !== []) {
                $at = array_pop($todo);
                $x = $at % $w;
                $whole = $whole && $x > 0 && $x < $w - 1 && $at >= $w && $at < $w * ($h - 1);
                foreach ([$at - 1, $at + 1, $at - $w, $at + $w] as $next) {
                    if (isset($left[$next])) {
                        unset($left[$next]);
                        $todo[] = $found[] = $next;
                    }
                }
            }
            if ($whole && count($found) >= self::LEAST_PIXELS && count($found) <= $most) {
                yield $found;
            }
        }
    }

    /** @param  non-empty-list<int>  $pixels */
    private static function boxed(array $pixels, int $w): int
    {
        $xs = array_map(fn (int $p): int => $p % $w, $pixels);

        return (max($xs) - min($xs) + 1) * (intdiv(max($pixels), $w) - intdiv(min($pixels), $w) + 1);
    }

    /**
     * @param  non-empty-list<int>  $pixels
     * @return Spot|null null: they fill no ellipse
     */
    private static function ellipse(array $pixels, int $w): ?array
    {
        $filled = self::filled($pixels, $w);
        $n = count($filled);
        [$sx, $sy] = [0, 0];
        foreach ($filled as [$x, $y]) {
            $sx += $x;
            $sy += $y;
        }
        [$mx, $my, $xx, $xy, $yy] = [$sx / $n, $sy / $n, 1 / 12, 0.0, 1 / 12];
        foreach ($filled as [$x, $y]) {
            $xx += ($x - $mx) ** 2 / $n;
            $yy += ($y - $my) ** 2 / $n;
            $xy += ($x - $mx) * ($y - $my) / $n;
        }
        $root = sqrt(($xx - $yy) ** 2 / 4 + $xy ** 2);
        [$a, $b] = [2 * sqrt(($xx + $yy) / 2 + $root), 2 * sqrt(max(1e-9, ($xx + $yy) / 2 - $root))];
        $off = abs($n / (M_PI * $a * $b) - 1);

        return $b < self::FLATTEST * $a || $off > ($n < self::SMALL_AREA ? self::SMALL_ROUND : self::ROUND) ? null
            : ['x' => $mx, 'y' => $my, 'a' => $a, 'b' => $b, 'turn' => atan2(2 * $xy, $xx - $yy) / 2];
    }

    /**
     * With its holes: what of its box cannot be reached from outside.
     *
     * @param  non-empty-list<int>  $pixels
     * @return list<array{int, int}>
     */
    private static function filled(array $pixels, int $w): array
    {
        $xs = array_map(fn (int $p): int => $p % $w, $pixels);
        [$l, $r, $t, $b] = [min($xs) - 1, max($xs) + 1, intdiv(min($pixels), $w) - 1, intdiv(max($pixels), $w) + 1];
        $wall = array_fill_keys($pixels, true);
        $outside = [$t * $w + $l => true];
        $todo = [[$l, $t]];
        while ($todo !== []) {
            [$x, $y] = array_pop($todo);
            foreach ([[$x - 1, $y], [$x + 1, $y], [$x, $y - 1], [$x, $y + 1]] as [$u, $v]) {
                $at = $v * $w + $u;
                if ($u >= $l && $u <= $r && $v >= $t && $v <= $b && ! isset($wall[$at]) && ! isset($outside[$at])) {
                    $outside[$at] = true;
                    $todo[] = [$u, $v];
                }
            }
        }
        $filled = [];
        for ($y = $t + 1; $y < $b; $y++) {
            for ($x = $l + 1; $x < $r; $x++) {
                isset($outside[$y * $w + $x]) || $filled[] = [$x, $y];
            }
        }

        return $filled;
    }
}
