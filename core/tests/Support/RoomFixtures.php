<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Setup;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;

/** Made-up machines and feet. */
final class RoomFixtures
{
    /** @param  array<string, mixed>  $but */
    public static function machine(array $but = []): Machine
    {
        return Machine::read(Data::of($but + [
            'name' => 'Window 1', 'drive' => 'mechanical', 'mount' => 'snap-low', 'widest_swing_mm' => 5, 'shortest_stitch_mm' => 0.3, 'longest_stitch_mm' => 4,
            'needle_positions_mm' => [-2.5, 0, 2.5], 'slot_mm' => 9, 'plate_lines_mm' => [10, 13, 16, 19], 'buttonhole' => 'four-step', 'feed_drop' => 'drops',
            'stitch_names' => ['straight' => 'A', 'zigzag' => 'B', 'satin' => 'B', 'button' => 'B', 'buttonhole' => '1-4', 'blind-hem' => 'D'],
        ]));
    }

    /** @param  array<string, mixed>  $but */
    public static function foot(string $kind, array $but = []): Foot
    {
        return Foot::read(Data::of($but + ['kind' => $kind]));
    }

    public static function setup(string $stitch, ?float $length = null, ?float $width = null, float $position = 0.0, float $needle = 80.0, bool $sticky = false, ?float $row = null): Setup
    {
        return new Setup(StitchSettings::of(StitchBook::standard()->get($stitch), $length, $width, $position), $needle, $sticky, $row);
    }
}
