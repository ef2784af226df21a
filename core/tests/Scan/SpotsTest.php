<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Scan\CardSpots;
use OpenSeam\Core\Scan\GrownLid;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\SeenSpot;
use PHPUnit\Framework\TestCase;

/** Round dark things, and what lies under a shadow, in pictures worked out pixel by pixel. */
final class SpotsTest extends TestCase
{
    /** @param  callable(float, float): float  $shade  at a place, pixels */
    private static function picture(int $w, int $h, callable $shade, float $grain = 0.0): Raster
    {
        mt_srand(5);
        $bytes = '';
        for ($y = 0; $y < $h; $y++) {
            for ($x = 0; $x < $w; $x++) {
                // Each pixel the mean of four places in it, as a camera has it.
                $mean = ($shade($x + 0.25, $y + 0.25) + $shade($x + 0.75, $y + 0.25) + $shade($x + 0.25, $y + 0.75) + $shade($x + 0.75, $y + 0.75)) / 4;
                $bytes .= chr((int) max(0, min(255, round($mean + $grain * (mt_rand(-100, 100) / 100)))));
            }
        }

        return Raster::read("P5 $w $h 255\n$bytes");
    }

    /**
     * Buttons of no to four holes in a row, light from the left.
     *
     * @return callable(float, float): float
     */
    private static function buttons(): callable
    {
        return function (float $x, float $y): float {
            $light = 1 - 0.4 * $x / 600;
            for ($n = 0; $n <= 4; $n++) {
                [$cx, $cy] = [70.3 + 110 * $n, 80.6];
                if (hypot($x - $cx, $y - $cy) <= 15) {
                    for ($k = 0; $k < $n; $k++) {
                        $out = $n === 1 ? 0.0 : 6.5;
                        if (hypot($x - $cx - $out * cos(2 * M_PI * $k / $n), $y - $cy - $out * sin(2 * M_PI * $k / $n)) <= 3.2) {
                            return 240 * $light;
                        }
                    }

                    return 30 * $light;
                }
            }
            // A bar and a ring about half of the picture are no spots.
            $isBar = $y > 180 && $y < 190 && $x > 40 && $x < 240;
            $isRing = abs(hypot($x - 420, $y - 240) - 75) < 2;

            return ($isBar || $isRing ? 30 : 240) * $light;
        };
    }

    public function test_spots_are_found_to_a_fraction_of_a_pixel_and_their_holes_are_counted(): void
    {
        $picture = self::picture(600, 340, self::buttons(), 3.0);
        $spots = CardSpots::in($picture);
        usort($spots, fn (array $a, array $b): int => $a['x'] <=> $b['x']);
        $spots = array_values(array_filter($spots, fn (array $s): bool => $s['y'] < 120));
        self::assertCount(5, $spots);
        foreach ($spots as $n => $spot) {
            self::assertEqualsWithDelta([15.0, 15.0], [$spot['a'], $spot['b']], 1.0);
            $seen = SeenSpot::at($picture, $spot);
            self::assertNotNull($seen);
            self::assertSame($n, $seen->holes);
            self::assertEqualsWithDelta(70.3 + 110 * $n, $seen->x, 0.12);
            self::assertEqualsWithDelta(80.6, $seen->y, 0.12);
            self::assertLessThan(2.5, $seen->soft, 'sharp as drawn');
        }
    }

    public function test_what_is_not_round_is_none_of_them(): void
    {
        $spots = CardSpots::in(self::picture(600, 340, self::buttons()));
        self::assertCount(5, $spots, 'neither the bar nor the ring');
        self::assertSame([], CardSpots::in(self::picture(200, 200, fn (): float => 200.0, 6.0)), 'grain is nothing');
        $squares = CardSpots::in(self::picture(300, 200, fn (float $x, float $y): float => abs($x - 100) < 25 && abs($y - 100) < 8 ? 20.0 : 230.0));
        self::assertSame([], $squares, 'a bar three times as long as wide');
    }

    public function test_a_pale_or_cut_off_spot_is_not_looked_at_closer(): void
    {
        $picture = self::picture(200, 200, fn (float $x, float $y): float => hypot($x - 100, $y - 100) < 30 ? 190.0 : 200.0);
        self::assertNull(SeenSpot::at($picture, ['x' => 100.0, 'y' => 100.0, 'a' => 30.0, 'b' => 30.0, 'turn' => 0.0]), 'ten shades are no print');
        self::assertNull(SeenSpot::at($picture, ['x' => 20.0, 'y' => 100.0, 'a' => 30.0, 'b' => 30.0, 'turn' => 0.0]), 'over the rim');
    }

    public function test_under_a_soft_shadow_the_lid_is_still_the_lid(): void
    {
        // A shadow of half the light over the lower part, and cloth turned by three degrees on both sides of it.
        [$c, $s] = [cos(deg2rad(3)), sin(deg2rad(3))];
        $on = fn (float $x, float $y): bool => abs($c * ($x - 120) + $s * ($y - 150)) < 60 && abs($c * ($y - 150) - $s * ($x - 120)) < 90;
        $light = fn (float $x, float $y): float => 1 - 0.45 / (1 + exp(-($y + 0.2 * $x - 190) / 8));
        $mask = GrownLid::mask(self::picture(240, 300, fn (float $x, float $y): float => ($on($x, $y) ? 225 : 128) * $light($x, $y), 2.0));
        self::assertNotNull($mask);
        $wrong = 0;
        foreach ($mask as $i => $is) {
            [$x, $y] = [$i % 240 + 0.5, intdiv($i, 240) + 0.5];
            // The edge itself is a pixel or two wide.
            $near = $on($x + 5, $y) !== $on($x - 5, $y) || $on($x, $y + 5) !== $on($x, $y - 5);
            $wrong += ! $near && ($is === 1) !== $on($x, $y) ? 1 : 0;
        }
        self::assertLessThan(240 * 300 * 0.002, $wrong, 'nothing leaks in along an edge that is a little turned');
    }

    public function test_what_lies_across_the_rim_is_no_lid(): void
    {
        self::assertNull(GrownLid::mask(self::picture(200, 160, fn (float $x, float $y): float => $x < 80 && abs($y - 80) < 40 ? 225.0 : 128.0)));
        $all = GrownLid::mask(self::picture(200, 160, fn (float $x): float => 100 + $x / 4));
        self::assertNotNull($all);
        self::assertSame(0, array_sum($all), 'nothing lies on it');
    }
}
