<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;

/** How sure a studio is of its camera: what a picture says of its own uncertainty, times what was found by ruler and camera. */
final readonly class CameraTrust
{
    /** @param  array<string, float>  $factors  by what is read, more than 0; 1 where none is given */
    public function __construct(private array $factors = []) {}

    public function of(Reading $reading, PictureValue $what): Reading
    {
        return Reading::of($reading->value, $reading->u * ($this->factors[$what->value] ?? 1.0));
    }
}
