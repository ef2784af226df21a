<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LinearSystem;

/**
 * From places on a flat card to pixels of a photograph of it: the plane's projective map (eight numbers, by least squares
 * over all pairs; Hartley & Zisserman, Multiple View Geometry, 2nd ed. 2003, 4.1, from memory) and the lens's bend with the
 * square of the distance from the picture's middle (one number, k₁ of the usual radial model).
 */
final readonly class CardMap
{
    /** Steps of improving all nine numbers at once. */
    private const STEPS = 12;

    /** For slopes: so far a number is moved, as a part of what it is good for. */
    private const NUDGE = 1e-6;

    /** Places are told in hundreds of millimetres while the numbers are sought: all of them have about one size then. */
    private const UNIT_MM = 100.0;

    /**
     * @param  list<float>  $h  eight numbers, the ninth is 1
     * @param  array{float, float, float}  $lens  middle of the picture and half its diagonal, pixels
     */
    private function __construct(private array $h, private float $k, private array $lens) {}

    /**
     * @param  list<array{float, float}>  $places  mm
     * @param  list<array{float, float}>  $pixels
     * @return self|null null: they do not settle it
     */
    public static function through(array $places, array $pixels, int $width, int $height): ?self
    {
        $lens = [$width / 2, $height / 2, hypot($width, $height) / 2];
        $rows = [];
        foreach ($places as $i => [$x, $y]) {
            [$x, $y] = [$x / self::UNIT_MM, $y / self::UNIT_MM];
            [$u, $v] = [($pixels[$i][0] - $lens[0]) / $lens[2], ($pixels[$i][1] - $lens[1]) / $lens[2]];
            $rows[] = [$x, $y, 1.0, 0.0, 0.0, 0.0, -$u * $x, -$u * $y, $u];
            $rows[] = [0.0, 0.0, 0.0, $x, $y, 1.0, -$v * $x, -$v * $y, $v];
        }
        $h = count($places) < 4 ? self::flat($places, $pixels, $lens) : LinearSystem::fit($rows);

        return $h === null ? null : new self($h, 0.0, $lens);
    }

    /**
     * Of three: as if seen from far away.
     *
     * @param  list<array{float, float}>  $places
     * @param  list<array{float, float}>  $pixels
     * @param  array{float, float, float}  $lens
     * @return list<float>|null
     */
    private static function flat(array $places, array $pixels, array $lens): ?array
    {
        $of = fn (int $c): ?array => LinearSystem::fit(array_map(fn (array $p, array $q): array => [$p[0] / self::UNIT_MM, $p[1] / self::UNIT_MM, 1.0, ($q[$c] - $lens[$c]) / $lens[2]], $places, $pixels));
        [$u, $v] = [$of(0), $of(1)];

        return $u === null || $v === null ? null : [...$u, ...$v, 0.0, 0.0];
    }

    /**
     * The same made better, with the lens: what is left between pairs in pixels is made as small as can be (Gauss and Newton).
     *
     * @param  list<array{float, float}>  $places
     * @param  list<array{float, float}>  $pixels
     */
    public function bent(array $places, array $pixels): self
    {
        $now = $this;
        for ($step = 0; $step < self::STEPS; $step++) {
            $rows = [];
            foreach ($places as $i => $place) {
                [$x, $y] = $now->pixel(...$place);
                $slopes = [];
                for ($j = 0; $j < 9; $j++) {
                    [$a, $b] = $now->with($j, self::NUDGE)->pixel(...$place);
                    $slopes[] = [($a - $x) / self::NUDGE, ($b - $y) / self::NUDGE];
                }
                $rows[] = [...array_column($slopes, 0), $pixels[$i][0] - $x];
                $rows[] = [...array_column($slopes, 1), $pixels[$i][1] - $y];
            }
            $by = LinearSystem::fit($rows);
            if ($by === null) {
                break;
            }
            foreach ($by as $j => $d) {
                $now = $now->with($j, $d);
            }
        }

        return $now;
    }

    private function with(int $j, float $by): self
    {
        $h = $this->h;
        $j < 8 && $h[$j] += $by;

        return new self(array_values($h), $j < 8 ? $this->k : $this->k + $by, $this->lens);
    }

    /** @return array{float, float} where a place of the card lies in the picture */
    public function pixel(float $x, float $y): array
    {
        $h = $this->h;
        $x /= self::UNIT_MM;
        $y /= self::UNIT_MM;
        $w = $h[6] * $x + $h[7] * $y + 1.0;
        $u = ($h[0] * $x + $h[1] * $y + $h[2]) / $w;
        $v = ($h[3] * $x + $h[4] * $y + $h[5]) / $w;
        $bend = 1.0 + $this->k * ($u * $u + $v * $v);

        return [$this->lens[0] + $this->lens[2] * $u * $bend, $this->lens[1] + $this->lens[2] * $v * $bend];
    }

    /** @return array{float, float} pixels a millimetre at a place: most and least, by direction */
    public function fineness(float $x, float $y): array
    {
        $d = 0.5;
        [$l, $r, $t, $b] = [$this->pixel($x - $d, $y), $this->pixel($x + $d, $y), $this->pixel($x, $y - $d), $this->pixel($x, $y + $d)];
        [$p, $q, $s, $e] = [$r[0] - $l[0], $r[1] - $l[1], $b[0] - $t[0], $b[1] - $t[1]];
        // The singular values of the four slopes.
        [$sum, $det] = [$p * $p + $q * $q + $s * $s + $e * $e, $p * $e - $q * $s];
        $root = sqrt(max(0.0, $sum * $sum - 4 * $det * $det));

        return [sqrt(($sum + $root) / 2), sqrt(max(0.0, ($sum - $root) / 2))];
    }

    /** Seen in a mirror left and right change places. */
    public function isMirrored(float $x, float $y): bool
    {
        [$o, $r, $b] = [$this->pixel($x, $y), $this->pixel($x + 1, $y), $this->pixel($x, $y + 1)];

        return ($r[0] - $o[0]) * ($b[1] - $o[1]) - ($r[1] - $o[1]) * ($b[0] - $o[0]) < 0;
    }

    /**
     * How far the middle of a round spot of the picture lies from where the middle of the spot on the card comes to lie:
     * what is nearer to the camera is larger.
     *
     * @return array{float, float} pixels
     */
    public function shift(float $x, float $y, float $radius): array
    {
        [$sx, $sy, $area] = [0.0, 0.0, 0.0];
        [$mx, $my] = $this->pixel($x, $y);
        // The middle of the area within its seen rim, by triangles from its middle.
        $before = null;
        for ($i = 0; $i <= 24; $i++) {
            [$u, $v] = $this->pixel($x + $radius * cos(2 * M_PI * $i / 24), $y + $radius * sin(2 * M_PI * $i / 24));
            [$u, $v] = [$u - $mx, $v - $my];
            if ($before !== null) {
                $part = ($before[0] * $v - $before[1] * $u) / 2;
                $area += $part;
                $sx += $part * ($before[0] + $u) / 3;
                $sy += $part * ($before[1] + $v) / 3;
            }
            $before = [$u, $v];
        }

        return abs($area) < 1e-9 ? [0.0, 0.0] : [$sx / $area, $sy / $area];
    }
}
