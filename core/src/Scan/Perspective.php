<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\LinearSystem;
use OpenSeam\Core\Near;

/**
 * From a point on a picture to its place on the table, in mm. Two known points give
 * scale alone, for a flat scan; four give the plane however it was photographed (a
 * projective map from four pairs of points, solved as eight linear equations;
 * Hartley & Zisserman, Multiple View Geometry, 2nd ed. 2003, 4.1, from memory).
 */
final readonly class Perspective
{
    /** Points closer than this on the picture cannot set a scale. */
    private const CLOSEST_PX = 10.0;

    /** @param  list<float>  $h  nine numbers of the map, row by row */
    private function __construct(private array $h, private float $mmPerPixel) {}

    /**
     * @param  array{float, float}  $a  on the picture, pixels
     * @param  array{float, float}  $b
     * @param  float  $mm  between them, more than 0
     *
     * @throws InputError when they lie too close together
     */
    public static function scale(array $a, array $b, float $mm): self
    {
        $px = hypot($b[0] - $a[0], $b[1] - $a[1]);
        $px >= self::CLOSEST_PX || throw InputError::at('scale', [$a, $b], sprintf('The two points of the ruler must be at least %g pixels apart; the further the better.', self::CLOSEST_PX));
        $mm > 0 || throw InputError::at('scale', $mm, 'The distance between the two points must be more than 0 mm.');
        $s = $mm / $px;

        return new self([$s, 0.0, 0.0, 0.0, $s, 0.0, 0.0, 0.0, 1.0], $s);
    }

    /**
     * @param  list<array{float, float}>  $corners  four on the picture, one after the other round a rectangle
     * @param  float  $wideMm  from the first to the second
     * @param  float  $highMm  from the second to the third
     *
     * @throws InputError when three of them lie on a line
     */
    public static function rectangle(array $corners, float $wideMm, float $highMm): self
    {
        count($corners) === 4 || throw InputError::at('corners', count($corners), 'Four corners are needed, one after the other.');
        $wideMm > 0 && $highMm > 0 || throw InputError::at('corners', [$wideMm, $highMm], 'The rectangle must be more than 0 mm wide and high.');
        $places = [[0.0, 0.0], [$wideMm, 0.0], [$wideMm, $highMm], [0.0, $highMm]];
        $rows = [];
        foreach ($corners as $i => [$x, $y]) {
            [$u, $v] = $places[$i];
            $rows[] = [$x, $y, 1.0, 0.0, 0.0, 0.0, -$u * $x, -$u * $y, $u];
            $rows[] = [0.0, 0.0, 0.0, $x, $y, 1.0, -$v * $x, -$v * $y, $v];
        }
        $solved = LinearSystem::solve($rows) ?? throw InputError::at('corners', $corners, 'No three of the corners may lie on one line.');
        $around = 0.0;
        foreach ($corners as $i => [$x, $y]) {
            $next = $corners[($i + 1) % 4];
            $around += hypot($next[0] - $x, $next[1] - $y);
        }

        return new self([...$solved, 1.0], 2 * ($wideMm + $highMm) / max(Near::DUST, $around));
    }

    /**
     * @param  array{float, float}  $point  on the picture, pixels
     * @return array{float, float} on the table, mm
     */
    public function place(array $point): array
    {
        $h = $this->h;
        $w = $h[6] * $point[0] + $h[7] * $point[1] + $h[8];

        return [($h[0] * $point[0] + $h[1] * $point[1] + $h[2]) / $w, ($h[3] * $point[0] + $h[4] * $point[1] + $h[5]) / $w];
    }

    /** Standard uncertainty of a clicked point, mm: one pixel either way, rectangular. */
    public function pointU(): float
    {
        return $this->mmPerPixel / sqrt(3);
    }
}
