<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;

/**
 * Reads a flat scan of one row sewn along the right edge of the cloth. Where the whole
 * piece lies in it, with lid about it, its four edges are found; otherwise the cloth fills
 * the scan but for the right: the edge
 * from the steepest change of shade, the row as the dark line beside it, the
 * stitch pitch from how the row repeats. It says what it cannot find rather than
 * guess. Thread darker or lighter than the cloth; the edge within a few degrees of upright.
 */
final class ScanReader
{
    public static function read(GreyImage $scan): ScanAnswer
    {
        $whole = WholeScan::read($scan);
        if ($whole !== null) {
            return $whole;
        }
        $bands = ScanBands::of($scan);
        $dark = self::find($bands, 1);
        if ($dark->cannot === null || $dark->cannot === NotFound::Edge) {
            return $dark;
        }
        $light = self::find($bands, -1);

        return $light->cannot === null ? $light : $dark;
    }

    /** @param  int  $sign  1 for thread darker than the cloth, −1 for lighter */
    private static function find(ScanBands $bands, int $sign): ScanAnswer
    {
        $edge = EdgeFinder::find($bands);
        if ($edge === null) {
            return ScanAnswer::cannotTell(NotFound::Edge);
        }
        $row = RowFinder::find($bands, $edge, $sign);
        if ($row === null) {
            return ScanAnswer::cannotTell(NotFound::Row);
        }
        $length = PitchFinder::find($bands, $edge, $row);
        if ($length === null) {
            return ScanAnswer::cannotTell(NotFound::Stitches);
        }
        // Along the row, and across it: the piece may lie at an angle.
        $upright = 1 / hypot(1, $edge->slope / $bands->tall);
        $marks = [];
        foreach ($row as $band => $away) {
            $marks[] = [($band + 0.5) * $bands->tall * $bands->mm / $upright, $away * $bands->mm * $upright];
        }
        $all = array_column($marks, 1);
        $mean = array_sum($all) / count($all);
        $spread = sqrt(array_sum(array_map(fn (float $a): float => ($a - $mean) ** 2, $all)) / max(1, count($all) - 1));

        return ScanAnswer::of(
            Reading::of($length * $bands->mm / $upright, $length * $bands->mm * 0.004 + 0.002),
            // A pixel of doubt about where the cloth ends, and what the marks scatter by.
            Reading::combined($mean, $bands->mm / sqrt(3), $spread / sqrt(count($all))),
            $marks,
        );
    }
}
