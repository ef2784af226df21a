<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/** What a buttonhole is sewn in. */
final readonly class Cloth
{
    public const WEIGHTS = ['light', 'medium', 'heavy'];

    public const STRETCH = ['none', 'one-way', 'two-way'];

    /**
     * @param  string  $weight  of WEIGHTS
     * @param  string  $stretch  of STRETCH
     */
    public function __construct(public string $weight, public string $stretch = 'none', public bool $delicate = false, public bool $fraying = false) {}

    public function stretches(): bool
    {
        return $this->stretch !== 'none';
    }

    /** The bars have to give as well as the sides. */
    public function stretchesBothWays(): bool
    {
        return $this->stretch === 'two-way';
    }
}
