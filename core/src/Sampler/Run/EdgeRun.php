<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Run;

use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Stitch\Path;

/** Along the left or right edge of the piece, at a distance: a seam. Its marks are counted from the top of the piece. */
final readonly class EdgeRun implements Run
{
    /** @param  string  $edge  left or right */
    public function __construct(private string $edge, private float $distanceMm, private float $fromMm, private float $toMm) {}

    public function path(Piece $piece): Path
    {
        $x = $this->across($this->distanceMm, $piece);

        return Path::through([[$x, $this->fromMm], [$x, $this->toMm]]);
    }

    public function ruler(Mark $mark, Path $path, Piece $piece): ?array
    {
        return $mark->atMm === null ? null : [[$this->across($this->distanceMm, $piece), $mark->atMm], [$this->across(0.0, $piece), $mark->atMm]];
    }

    public function sewn(Field $field, array $values, Path $path, Piece $piece): ?Path
    {
        // One with a picture of its own is of something else along the row: a width, a ribbon, a tuck.
        if ($field->looks !== []) {
            return null;
        }
        $corners = [];
        foreach ($values as $i => $allowance) {
            $at = ($field->marks[$i] ?? null)?->atMm;
            if ($allowance !== null && $at !== null) {
                $corners[] = [$this->across($allowance, $piece), $at];
            }
        }
        if (count($corners) < 2) {
            return null;
        }
        // Beyond the outer marks the row runs on as it ran there.
        $planned = $path->corners;
        $first = [$corners[0][0], min($planned[0][1], $corners[0][1])];
        $end = $corners[count($corners) - 1];

        return Path::through([$first, ...$corners, [$end[0], max($planned[count($planned) - 1][1], $end[1])]]);
    }

    public function allowanceMm(): float
    {
        return $this->distanceMm;
    }

    public function reach(Path $path): array
    {
        return [min($this->fromMm, $this->toMm), max($this->fromMm, $this->toMm)];
    }

    /** The place an allowance reaches to, from the left of the piece. */
    private function across(float $allowance, Piece $piece): float
    {
        return $this->edge === 'left' ? $allowance : $piece->widthMm - $allowance;
    }
}
