<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/** What a buttonhole is sewn in. */
final readonly class Cloth
{
    public const WEIGHTS = ['light', 'medium', 'heavy'];

    public const STRETCH = ['none', 'one-way', 'two-way'];

    /** @param  string  $weight  of WEIGHTS */
    public function __construct(public string $weight, public bool $stretches = false, public bool $delicate = false, public bool $fraying = false) {}
}
