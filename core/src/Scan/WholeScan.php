<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;

/** A flat scan of a whole piece with its lid about it: the one straight row along its right edge, wherever it lies between 2 and 45 mm. */
final class WholeScan
{
    private const NEAREST_MM = 2.0;

    private const FURTHEST_MM = 45.0;

    private const MARKS_MM = 3.0;

    /** @return ScanAnswer|null null: there is no whole piece in it */
    public static function read(GreyImage $scan): ?ScanAnswer
    {
        if (min($scan->width, $scan->height) < Raster::LEAST_SIDE || $scan->width * $scan->height > Raster::MOST_PIXELS) {
            return null;
        }
        $piece = FoundPiece::in(new Sampled(Raster::read("P5 $scan->width $scan->height 255\n".$scan->pixels), $scan->mmPerPixel()));
        if (! $piece instanceof FoundPiece) {
            return null;
        }
        $far = min(self::FURTHEST_MM, $piece->deep('right') - self::NEAREST_MM);
        $read = ReadRow::find($piece, 'right', ($far + self::NEAREST_MM) / 2, false, range(self::MARKS_MM, $piece->long('right') - self::MARKS_MM, self::MARKS_MM), ($far - self::NEAREST_MM) / 2);
        if ($read->length === null) {
            return ScanAnswer::cannotTell($read->cannot === CannotRead::NoStitches ? NotFound::Stitches : NotFound::Row);
        }
        $marks = array_map(fn (array $a): array => [$a[0], $a[1]->value], $read->allowance);
        $values = array_column($marks, 1);
        $mean = array_sum($values) / count($values);
        $spread = sqrt(array_sum(array_map(fn (float $v): float => ($v - $mean) ** 2, $values)) / max(1, count($values) - 1));

        // What is uncertain at one mark by the scale and the edge is so at all of them.
        return ScanAnswer::of($read->length, Reading::combined($mean, $read->allowance[0][1]->u, $spread / sqrt(count($values))), $marks);
    }
}
