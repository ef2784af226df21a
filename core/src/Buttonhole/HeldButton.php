<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/** A button as it holds: on a shank or sewn flat, and how thick it is, mm. */
final readonly class HeldButton
{
    public function __construct(public float $thicknessMm, public bool $shank = false) {}
}
