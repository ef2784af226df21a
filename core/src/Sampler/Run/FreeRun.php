<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Run;

use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Stitch\Path;

/** A row that follows no edge: its marks are counted along it, and the ruler lies across it. */
abstract readonly class FreeRun implements Run
{
    /** Half the length of the ruler mark that is drawn. */
    private const MARK_MM = 4.0;

    public function ruler(Mark $mark, Path $path, Piece $piece): ?array
    {
        if ($mark->atMm !== null) {
            [[[$x, $y], [$dx, $dy]]] = $path->places([$mark->atMm]);

            return [[$x + $dy * self::MARK_MM, $y - $dx * self::MARK_MM], [$x - $dy * self::MARK_MM, $y + $dx * self::MARK_MM]];
        }
        $corner = $mark->corner === null ? null : $path->corners[$mark->corner] ?? null;

        return $corner === null ? null : [[$corner[0] - self::MARK_MM, $corner[1]], [$corner[0] + self::MARK_MM, $corner[1]]];
    }

    public function sewn(Field $field, array $values, Path $path, Piece $piece): ?Path
    {
        return null;
    }

    public function allowanceMm(): null
    {
        return null;
    }

    public function reach(Path $path): array
    {
        return [0.0, $path->lengthMm()];
    }
}
