<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

/** A rectangle to cut: length along the grain, width across; turned only where that is allowed. All in mm. */
final readonly class ClothPiece
{
    public function __construct(public string $id, public float $widthMm, public float $lengthMm, public bool $turn) {}

    public function turned(): self
    {
        return new self($this->id, $this->lengthMm, $this->widthMm, $this->turn);
    }

    public function area(): float
    {
        return $this->widthMm * $this->lengthMm;
    }
}
