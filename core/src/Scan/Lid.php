<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/**
 * What a piece lies on, told from the rim of the picture: how light it is changes slowly from place to place, as lamps
 * and lids make it. Places on the rim that do not fit are something else lying there.
 */
final readonly class Lid
{
    /** Of the sides of the picture. */
    private const RIM = 0.012;

    /** Further off than this many deviations is not the lid. */
    private const OUT = 3.5;

    /** A lid is never smoother than this, shades. */
    private const LEAST_NOISE = 1.2;

    private const ROUNDS = 5;

    private const ALIKE_SHADES = 30.0;

    /**
     * @param  list<list<float>>  $shades  six weights of each channel
     * @param  float  $noise  how far its pixels lie from it, shades
     * @param  float  $strange  share of the rim that is not the lid
     */
    private function __construct(private array $shades, public float $noise, public float $strange) {}

    public static function of(Raster $picture): self
    {
        $rim = max(2, (int) round(self::RIM * min($picture->width, $picture->height)));
        [$places, $seen] = [[], []];
        for ($y = 0; $y < $picture->height; $y++) {
            $row = $picture->row($y);
            $whole = $y < $rim || $y >= $picture->height - $rim;
            for ($x = 0; $x < $picture->width; $x++) {
                if (! $whole && $x === $rim) {
                    $x = $picture->width - $rim;
                }
                $places[] = self::terms($x / $picture->width, $y / $picture->height);
                $seen[] = [$row[3 * $x], $row[3 * $x + 1], $row[3 * $x + 2]];
            }
        }
        $in = self::mostly($seen);
        [$shades, $noise] = [[], 0.0];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $shades = array_map(fn (int $c): array => self::fit($places, array_map(fn (array $s): int => $s[$c], $seen), $in), [0, 1, 2]);
            $off = array_map(fn (array $t, array $s): float => self::apart($shades, $t, $s), $places, $seen);
            $kept = array_map(fn (int $i): float => $off[$i], $in);
            sort($kept);
            // Three channels: the median of their distance is 1.54 deviations of each (chi with 3 degrees).
            $noise = max(self::LEAST_NOISE, ($kept[intdiv(count($kept), 2)] ?? 0.0) / 1.54);
            $in = array_keys(array_filter($off, fn (float $d): bool => $d <= self::OUT * $noise * 1.7));
            if (count($in) < count($places) / 3) {
                break;
            }
        }

        return new self($shades, $noise, 1 - count($in) / count($places));
    }

    /**
     * To begin with: those that are about as most are, so that a piece over the rim does not pull at it.
     *
     * @param  list<array{int, int, int}>  $seen
     * @return list<int>
     */
    private static function mostly(array $seen): array
    {
        $middle = array_map(function (int $c) use ($seen): int {
            $all = array_map(fn (array $s): int => $s[$c], $seen);
            sort($all);

            return $all[intdiv(count($all), 2)];
        }, [0, 1, 2]);
        $off = array_map(fn (array $s): float => hypot($s[0] - $middle[0], hypot($s[1] - $middle[1], $s[2] - $middle[2])), $seen);
        $sorted = $off;
        sort($sorted);
        $limit = max(self::ALIKE_SHADES, 2.5 * $sorted[intdiv(count($sorted), 2)]);

        return array_keys(array_filter($off, fn (float $o): bool => $o <= $limit));
    }

    /** @return array{float, float, float} its shade at a place, 0 to 1 of the picture's sides */
    public function at(float $x, float $y): array
    {
        $t = self::terms($x, $y);
        $at = [0.0, 0.0, 0.0];
        foreach ($this->shades as $c => $of) {
            foreach ($of as $k => $weight) {
                $at[$c] += $weight * $t[$k];
            }
        }

        return [$at[0], $at[1], $at[2]];
    }

    /** @return list<float> */
    private static function terms(float $x, float $y): array
    {
        return [1.0, $x, $y, $x * $x, $x * $y, $y * $y];
    }

    /**
     * @param  list<list<float>>  $shades
     * @param  list<float>  $t
     * @param  array{int, int, int}  $seen
     */
    private static function apart(array $shades, array $t, array $seen): float
    {
        $sum = 0.0;
        foreach ($shades as $c => $of) {
            $d = $seen[$c] - $of[0] - $of[1] * $t[1] - $of[2] * $t[2] - $of[3] * $t[3] - $of[4] * $t[4] - $of[5] * $t[5];
            $sum += $d * $d;
        }

        return sqrt($sum);
    }

    /**
     * Least squares by the normal equations: six weights.
     *
     * @param  list<list<float>>  $places
     * @param  list<int>  $values
     * @param  list<int>  $in
     * @return list<float>
     */
    private static function fit(array $places, array $values, array $in): array
    {
        $m = array_fill(0, 6, array_fill(0, 7, 0.0));
        foreach ($in as $i) {
            $t = $places[$i];
            for ($a = 0; $a < 6; $a++) {
                for ($b = $a; $b < 6; $b++) {
                    $m[$a][$b] += $t[$a] * $t[$b];
                }
                $m[$a][6] += $t[$a] * $values[$i];
            }
        }
        for ($a = 0; $a < 6; $a++) {
            for ($b = 0; $b < $a; $b++) {
                $m[$a][$b] = $m[$b][$a];
            }
            // Little is enough to keep it from falling over where all places lie in a line.
            $m[$a][$a] += 1e-6;
        }
        for ($a = 0; $a < 6; $a++) {
            for ($b = $a + 1; $b < 6; $b++) {
                $by = $m[$b][$a] / $m[$a][$a];
                for ($c = $a; $c < 7; $c++) {
                    $m[$b][$c] -= $by * $m[$a][$c];
                }
            }
        }
        $weights = array_fill(0, 6, 0.0);
        for ($a = 5; $a >= 0; $a--) {
            $sum = $m[$a][6];
            for ($b = $a + 1; $b < 6; $b++) {
                $sum -= $m[$a][$b] * $weights[$b];
            }
            $weights[$a] = $sum / $m[$a][$a];
        }

        return $weights;
    }
}
