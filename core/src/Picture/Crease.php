<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** Where a strip is folded, and which side of it moves. */
final readonly class Crease
{
    public function __construct(
        /** Along the strip, mm; 0 with the rest moving takes all of it along. */
        public float $place,
        /** The beginning of the strip is moved, else its rest. */
        public bool $start,
        /** Which strip, in the order in which they were laid. */
        public int $strip = 0,
    ) {}

    public function moves(FoldedPiece $piece): bool
    {
        return $piece->strip === $this->strip && ($this->start ? $piece->to <= $this->place + FoldedCloth::NEAR_MM : $piece->from >= $this->place - FoldedCloth::NEAR_MM);
    }
}
