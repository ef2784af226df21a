<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Run;

use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Stitch\Path;

/** An S from one point to another. */
final readonly class SCurveRun extends FreeRun
{
    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public function __construct(private array $from, private array $to, private float $swingMm) {}

    public function path(Piece $piece): Path
    {
        return Path::sCurve($this->from, $this->to, $this->swingMm);
    }
}
