<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Run;

use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Stitch\Path;
use OpenSeam\Core\ValueRefused;

/** How a row runs on its piece, and with that where it is measured and how it looks as measured. Lengths in mm. */
interface Run
{
    /**
     * @throws ValueRefused when it does not fit the piece
     */
    public function path(Piece $piece): Path;

    /**
     * The line that the ruler lies along at a mark of the row itself, from the row outwards.
     *
     * @return array{array{float, float}, array{float, float}}|null null where the row has no such place
     */
    public function ruler(Mark $mark, Path $path, Piece $piece): ?array;

    /**
     * The row as it was sewn, by what was read of it.
     *
     * @param  list<float|null>  $values  of the field, in the order of its marks
     * @return Path|null null where these readings do not tell
     */
    public function sewn(Field $field, array $values, Path $path, Piece $piece): ?Path;

    /** The distance from the cloth edge it follows; null where it follows none. */
    public function allowanceMm(): ?float;

    /**
     * From where to where marks along it are counted.
     *
     * @return array{float, float}
     */
    public function reach(Path $path): array;
}
