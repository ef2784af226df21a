<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** A flat scan: places are mm from its upper left corner. */
final readonly class Sampled implements LaidFlat
{
    /** @param  float  $mm  of a pixel */
    public function __construct(private Raster $picture, private float $mm) {}

    public function line(float $x, float $y, float $dx, float $dy, int $places): array
    {
        return $this->picture->line($x / $this->mm, $y / $this->mm, $dx / $this->mm, $dy / $this->mm, $places);
    }

    public function pixel(float $x, float $y): array
    {
        return [$x / $this->mm, $y / $this->mm];
    }

    public function mm(float $x, float $y): float
    {
        return $this->mm;
    }

    public function step(): float
    {
        // Finer than that nothing is looked for.
        return max(0.06, $this->mm);
    }

    public function widthMm(): float
    {
        return $this->picture->width * $this->mm;
    }

    public function heightMm(): float
    {
        return $this->picture->height * $this->mm;
    }

    public function small(int $longest): Raster
    {
        return $this->picture->small($longest);
    }

    public function because(CannotRead $why): CannotRead
    {
        return $why;
    }

    public function scaleU(): float
    {
        return 0.0;
    }

    public function placeU(): float
    {
        return 0.05;
    }
}
