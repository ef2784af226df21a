<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\ValueRefused;

/** Where the needle goes down along a row of straight stitches (lockstitch, ISO 4915 class 301). */
final class StraightStitches
{
    /** No machine of this kind sews longer or shorter than this. */
    public const SHORTEST_MM = 0.2;

    public const LONGEST_MM = 12.0;

    /**
     * Needle points [x, y] in mm, in sewing order. Every corner gets a point, as
     * it does under a pivoting hand; the last stitch before a corner may be
     * shorter or longer by up to half a stitch.
     *
     * @param  float  $lengthMm  stitch length, 0.2 to 12 mm
     * @return list<array{float, float}>
     *
     * @throws ValueRefused when the length is out of range
     */
    public static function along(Path $path, float $lengthMm): array
    {
        if ($lengthMm < self::SHORTEST_MM || $lengthMm > self::LONGEST_MM) {
            throw new ValueRefused(sprintf('A stitch of %g mm cannot be sewn: %g to %g mm.', $lengthMm, self::SHORTEST_MM, self::LONGEST_MM));
        }
        $points = [$path->corners[0]];
        for ($i = 1; $i < count($path->corners); $i++) {
            [$ax, $ay] = $path->corners[$i - 1];
            [$bx, $by] = $path->corners[$i];
            $stitches = max(1, (int) round(hypot($bx - $ax, $by - $ay) / $lengthMm));
            for ($k = 1; $k <= $stitches; $k++) {
                $share = $k / $stitches;
                // A corner is hit exactly, not but for rounding.
                $points[] = $k === $stitches ? [$bx, $by] : [$ax + ($bx - $ax) * $share, $ay + ($by - $ay) * $share];
            }
        }

        return $points;
    }

    /**
     * The stitches that secure an end: back over the first ones and forward again.
     *
     * @param  list<array{float, float}>  $points  a row's needle points
     * @return list<array{float, float}> the back stitches' points at the start of the row
     */
    public static function backStitches(array $points, int $count): array
    {
        return array_slice($points, 0, max(0, $count) + 1);
    }
}
