<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Run;

use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Stitch\Path;

/** Round and round from the outside in. */
final readonly class RoundSpiralRun extends FreeRun
{
    /** @param  array{float, float}  $centre */
    public function __construct(private array $centre, private float $radiusMm, private float $laneMm, private float $turns) {}

    public function path(Piece $piece): Path
    {
        return Path::roundSpiral($this->centre[0], $this->centre[1], $this->radiusMm, $this->laneMm, $this->turns);
    }
}
