<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\InputError;

/** A run of a kind somewhere on a piece, to be moved from there. Millimetres from the piece's top left corner. */
final class PathStarter
{
    public const RUNS = ['edge', 'line', 'arc', 'circle', 's-curve', 'square-spiral', 'round-spiral'];

    /** Half an inch from the edge, as the corners of a square spiral start. */
    private const SPIRAL_MARGIN_MM = 12.7;

    /**
     * @return array<string, mixed> a path, as in a bundle
     *
     * @throws InputError for a kind of run that is not known, or a piece too small for any
     */
    public static function of(string $run, float $width, float $height): array
    {
        min($width, $height) >= 20.0 || throw InputError::at('run', $run, 'The piece must be 20 mm wide and long at least for a row to run on it.');
        $centre = [$width / 2, $height / 2];
        $radius = floor(min($width, $height) / 3);
        $about = match ($run) {
            'edge' => ['edge' => 'left', 'distance_mm' => min(15.0, $width / 2), 'from_mm' => min(8.0, $height / 4), 'to_mm' => $height - min(8.0, $height / 4)],
            'line' => ['through' => [[$width / 4, $height / 4], [$width / 4, 3 * $height / 4], [3 * $width / 4, 3 * $height / 4]]],
            'arc' => ['centre' => $centre, 'radius_mm' => $radius, 'from_deg' => 0, 'to_deg' => 180],
            'circle' => ['centre' => $centre, 'radius_mm' => $radius],
            's-curve' => ['from' => [$width / 2, min(10.0, $height / 4)], 'to' => [$width / 2, $height - min(10.0, $height / 4)], 'swing_mm' => max(1.0, floor($width / 5))],
            'square-spiral' => self::squareSpiral($width, $height),
            'round-spiral' => ['centre' => $centre, 'radius_mm' => $radius, 'lane_mm' => min(RowStarter::FOOT_EDGE_MM, max(1.0, floor($radius / 2))), 'turns' => max(1.0, floor($radius / RowStarter::FOOT_EDGE_MM) - 1)],
            default => throw InputError::at('run', $run, 'It must be one of: '.implode(', ', self::RUNS).'.'),
        };

        return ['run' => $run] + $about;
    }

    /** @return array<string, mixed> its sides go by the piece's width: a piece that is wider than long needs a margin for that */
    private static function squareSpiral(float $width, float $height): array
    {
        $margin = max(min(self::SPIRAL_MARGIN_MM, floor(min($width, $height) / 4)), $width - $height);
        $lane = min(RowStarter::FOOT_EDGE_MM, floor(($width - 2 * $margin) / 3));
        $lane >= 1.0 || throw InputError::at('run', 'square-spiral', sprintf('A square spiral needs a piece about as long as it is wide; this one is %g × %g mm.', $width, $height));

        return ['margin_mm' => $margin, 'lane_mm' => $lane, 'corners' => 4];
    }
}
