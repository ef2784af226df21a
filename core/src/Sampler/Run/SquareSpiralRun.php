<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Run;

use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Stitch\Path;

/** Square turns from the outside in, one lane from the last. A corner's reading is how far past it (+) or short of it (−) the row turned. */
final readonly class SquareSpiralRun extends FreeRun
{
    public function __construct(private float $marginMm, private float $laneMm, private int $corners) {}

    public function path(Piece $piece): Path
    {
        return Path::squareSpiral($piece->widthMm, $this->marginMm, $this->laneMm, $this->corners);
    }

    public function sewn(Field $field, array $values, Path $path, Piece $piece): ?Path
    {
        if (($field->marks[0] ?? null)?->corner === null || array_filter($values, fn (?float $v): bool => $v !== null) === []) {
            return null;
        }
        $planned = $path->corners;
        $sewn = $planned;
        foreach ($values as $i => $error) {
            $corner = $field->marks[$i]->corner;
            if ($error === null || $corner === null || ! isset($planned[$corner - 1], $planned[$corner + 1])) {
                continue;
            }
            [$before, $here] = [$planned[$corner - 1], $planned[$corner]];
            $length = Path::distance($before, $here);
            $dx = ($here[0] - $before[0]) / $length * $error;
            $dy = ($here[1] - $before[1]) / $length * $error;
            // The turn moves along the side it ends, and takes the next side with it.
            $sewn[$corner] = [$sewn[$corner][0] + $dx, $sewn[$corner][1] + $dy];
            $sewn[$corner + 1] = [$sewn[$corner + 1][0] + $dx, $sewn[$corner + 1][1] + $dy];
        }

        return Path::through($sewn);
    }
}
