<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Run;

use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Stitch\Path;

/** Straight from corner to corner; the needle turns on each. */
final readonly class LineRun extends FreeRun
{
    /** @param  list<array{float, float}>  $corners */
    public function __construct(private array $corners) {}

    public function path(Piece $piece): Path
    {
        return Path::through($this->corners);
    }
}
