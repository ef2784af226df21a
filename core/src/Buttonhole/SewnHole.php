<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/** A buttonhole that was sewn and looked at, mm; null where nobody measured. */
final readonly class SewnHole
{
    public function __construct(
        /** What machine, foot or marks were told. */
        public float $setMm,
        public float $plannedMm,
        public ?float $finishedMm,
        /** Along the hole, the mean of its bars. */
        public ?float $barMm,
        /** All that was read of it was as it should be. */
        public bool $met,
        /** Its button passed snugly; null: not opened. */
        public ?bool $snug,
    ) {}

    /** Met, opened, and its button snug: what a garment asks for. */
    public function isGood(): bool
    {
        return $this->met && $this->snug === true;
    }
}
