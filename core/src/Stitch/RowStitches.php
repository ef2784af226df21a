<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\InputError;

/** Needle points of any stitch laid along a row's path, [x, y] in mm on the piece, in sewing order. */
final class RowStitches
{
    /**
     * A straight stitch turns exactly on the corners of its path; everything
     * else is its pattern bent along the path, left of the way it runs being left.
     *
     * @return list<array{float, float}>
     *
     * @throws InputError when the path is out of range for the stitch
     */
    public static function on(Path $path, StitchSettings $settings): array
    {
        if (! $path->smooth && $settings->kind->strokesPerCycle() === 1 && ! $settings->kind->swings() && $settings->positionMm === 0.0) {
            return StraightStitches::along($path, $settings->lengthMm);
        }
        $needle = NeedlePoints::along($settings, $path->lengthMm());
        $points = [];
        foreach ($path->places(array_column($needle, 0)) as $i => [[$x, $y], [$dx, $dy]]) {
            // On the cloth y runs down: to the right of the way is (−dy, dx).
            $points[] = [$x - $dy * $needle[$i][1], $y + $dx * $needle[$i][1]];
        }

        return $points;
    }
}
