<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/**
 * A round dark spot at the picture's full fineness: its middle by how dark each pixel is, its holes, and how soft its rim is.
 *
 * @phpstan-import-type Spot from CardSpots
 */
final readonly class SeenSpot
{
    /** Of the spot's own size: so much about it is looked at. */
    private const ABOUT = 1.35;

    /** The ground about it lies from here on. */
    private const GROUND = 1.18;

    /** Within that a light place is a hole. */
    private const INNER = 0.8;

    /** Of the spot: a smaller light place is a speck. */
    private const HOLE = 0.012;

    private const LEAST_CONTRAST = 18.0;

    /**
     * @param  int  $holes  light places within it
     * @param  float  $soft  over so many pixels its rim goes from dark to light
     * @param  float  $light  shade of the ground about it
     */
    private function __construct(public float $x, public float $y, public int $holes, public float $soft, public float $light) {}

    /** @param  Spot  $spot */
    public static function at(Raster $picture, array $spot): ?self
    {
        [$c, $s] = [cos($spot['turn']), sin($spot['turn'])];
        $reach = (int) ceil(self::ABOUT * $spot['a']) + 1;
        [$x0, $y0] = [(int) floor($spot['x']), (int) floor($spot['y'])];
        $whole = (int) ceil($spot['a']) + 1;
        if ($x0 - $whole < 0 || $y0 - $whole < 0 || $x0 + $whole >= $picture->width || $y0 + $whole >= $picture->height) {
            return null;
        }
        $inside = $ground = [];
        // Close to the rim of the picture there is less ground about it.
        for ($y = max(0, $y0 - $reach); $y <= min($picture->height - 1, $y0 + $reach); $y++) {
            $from = $picture->from($y);
            for ($x = max(0, $x0 - $reach); $x <= min($picture->width - 1, $x0 + $reach); $x++) {
                [$u, $v] = [$x + 0.5 - $spot['x'], $y + 0.5 - $spot['y']];
                $r = hypot(($c * $u + $s * $v) / $spot['a'], ($c * $v - $s * $u) / $spot['b']);
                if ($r <= self::ABOUT) {
                    $p = $from + 3 * $x;
                    $shade = (ord($picture->bytes[$p]) + 2 * ord($picture->bytes[$p + 1]) + ord($picture->bytes[$p + 2])) / 4;
                    $inside[] = [$x, $y, $shade, $r];
                    $r >= self::GROUND && $ground[] = $shade;
                }
            }
        }
        $dark = array_map(fn (array $p): float => $p[2], array_filter($inside, fn (array $p): bool => $p[3] <= self::INNER));
        if ($ground === [] || $dark === []) {
            return null;
        }
        sort($ground);
        sort($dark);
        [$white, $black] = [$ground[intdiv(count($ground), 2)], $dark[intdiv(count($dark), 5)]];

        return $white - $black < self::LEAST_CONTRAST ? null : self::weighed($inside, $white, $black, $spot);
    }

    /**
     * @param  list<array{int, int, float, float}>  $pixels
     * @param  Spot  $spot
     */
    private static function weighed(array $pixels, float $white, float $black, array $spot): self
    {
        [$sum, $sx, $sy, $between] = [0.0, 0.0, 0.0, 0.0];
        $light = [];
        foreach ($pixels as [$x, $y, $shade, $r]) {
            $dark = max(0.0, min(1.0, ($white - $shade) / ($white - $black)));
            // Grain of the paper is none of it.
            $weight = $dark < 0.12 ? 0.0 : $dark;
            $sum += $weight;
            $sx += $weight * ($x + 0.5);
            $sy += $weight * ($y + 0.5);
            $between += $r > self::INNER && $dark > 0.2 && $dark < 0.8 ? 1 : 0;
            $r <= self::INNER && $dark < 0.5 && $light["$x,$y"] = [$x, $y];
        }
        $around = M_PI * ($spot['a'] + $spot['b']);

        return new self($sx / max(1e-9, $sum), $sy / max(1e-9, $sum), self::holes($light, self::HOLE * M_PI * $spot['a'] * $spot['b']), $between / max(1.0, $around) / 0.6, $white);
    }

    /** @param  array<string, array{int, int}>  $light */
    private static function holes(array $light, float $least): int
    {
        $holes = 0;
        $left = $light;
        foreach ($light as $key => $first) {
            if (! isset($left[$key])) {
                continue;
            }
            [$todo, $size] = [[$first], 0];
            unset($left[$key]);
            while ($todo !== []) {
                [$x, $y] = array_pop($todo);
                $size++;
                foreach ([[$x - 1, $y], [$x + 1, $y], [$x, $y - 1], [$x, $y + 1]] as [$u, $v]) {
                    if (isset($left["$u,$v"])) {
                        unset($left["$u,$v"]);
                        $todo[] = [$u, $v];
                    }
                }
            }
            $holes += $size >= $least ? 1 : 0;
        }

        return $holes;
    }
}
