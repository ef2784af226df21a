<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

/** A piece laid on the cloth: x from the left selvedge, y along the cloth, mm. */
final readonly class Placed
{
    public function __construct(public string $id, public float $xMm, public float $yMm, public float $widthMm, public float $lengthMm) {}
}
