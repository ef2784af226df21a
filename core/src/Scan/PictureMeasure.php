<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Near;

/** Stitch lengths and the distance to the cloth edge from points that were clicked on a picture. */
final readonly class PictureMeasure
{
    /**
     * @param  list<float>  $lengths  from each needle point to the next, mm
     * @param  list<array{float, float}>  $marks  place along the row and distance to the edge there, mm
     */
    private function __construct(public array $lengths, public ?Reading $length, public array $marks, public ?Reading $allowance) {}

    /**
     * @param  list<array{float, float}>  $needle  needle points in order, pixels
     * @param  list<array{float, float}>  $edge  two or more points of the cloth edge, pixels
     *
     * @throws InputError when two needle points are the same, or the edge is one point
     */
    public static function of(Perspective $view, array $needle, array $edge = []): self
    {
        $points = array_map($view->place(...), $needle);
        $lengths = [];
        for ($i = 1; $i < count($points); $i++) {
            $length = hypot($points[$i][0] - $points[$i - 1][0], $points[$i][1] - $points[$i - 1][1]);
            $length > Near::SPOT_MM || throw InputError::at("needle[$i]", $needle[$i], 'Two needle points in a row lie on the same spot.');
            $lengths[] = $length;
        }
        // First to last over the number of stitches: the clicks in between do not matter to the mean.
        $n = count($lengths);
        $mean = $n === 0 ? null : Reading::of(array_sum($lengths) / $n, sqrt(2) * $view->pointU() / $n);
        $marks = count($edge) < 2 || $points === [] ? [] : self::toEdge($points, array_map($view->place(...), $edge), $edge);
        $away = array_column($marks, 1);

        return new self($lengths, $mean, $marks, $away === [] ? null : Reading::combined(array_sum($away) / count($away), $view->pointU() / sqrt(count($away)), $view->pointU() / sqrt(count($edge))));
    }

    /**
     * Distances to the straight line through the edge, whichever way it runs on the picture.
     *
     * @param  list<array{float, float}>  $points
     * @param  list<array{float, float}>  $edge
     * @param  list<array{float, float}>  $clicked
     * @return list<array{float, float}>
     */
    private static function toEdge(array $points, array $edge, array $clicked): array
    {
        [$xs, $ys] = [array_column($edge, 0), array_column($edge, 1)];
        if ($xs === [] || $ys === []) {
            return [];
        }
        $upright = max($ys) - min($ys) > max($xs) - min($xs);
        max(max($xs) - min($xs), max($ys) - min($ys)) > 1.0 || throw InputError::at('edge', $clicked, 'The edge needs two points that lie apart.');
        $line = $upright ? LeastSquares::fit($ys, $xs) : LeastSquares::fit($xs, $ys);
        $marks = [];
        foreach ($points as [$x, $y]) {
            [$along, $across] = $upright ? [$y, $x] : [$x, $y];
            $marks[] = [hypot($x - $points[0][0], $y - $points[0][1]), abs($across - $line->at($along)) / hypot(1, $line->slope)];
        }

        return $marks;
    }
}
