<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Run;

use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Stitch\Path;

/** Part of a circle, or all of it; 0° points right, 90° down. */
final readonly class ArcRun extends FreeRun
{
    /** @param  array{float, float}  $centre */
    public function __construct(private array $centre, private float $radiusMm, private float $fromDegrees, private float $toDegrees) {}

    public function path(Piece $piece): Path
    {
        return Path::arc($this->centre[0], $this->centre[1], $this->radiusMm, $this->fromDegrees, $this->toDegrees);
    }
}
