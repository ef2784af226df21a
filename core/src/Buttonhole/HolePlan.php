<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/** What a buttonhole was to become, mm. */
final readonly class HolePlan
{
    public function __construct(public float $finishedMm, public float $openingMm, public float $halfWrapMm, public ?float $pointsPer10 = null) {}
}
