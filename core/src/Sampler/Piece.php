<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

/** A cut piece of cloth or paper, in mm. */
final readonly class Piece
{
    public function __construct(
        public string $id,
        public float $widthMm,
        public float $heightMm,
        public int $layers,
        public string $label,
        /** "cloth", "paper", "knit", "interfacing" or "leather" */
        public string $material = 'cloth',
        /** Stabiliser lies behind it. */
        public bool $interfaced = false,
    ) {}

    public function cutTo(float $widthMm, float $heightMm): self
    {
        return new self($this->id, $widthMm, $heightMm, $this->layers, $this->label, $this->material, $this->interfaced);
    }
}
