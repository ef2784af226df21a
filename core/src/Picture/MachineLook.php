<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Machine\Drive;
use OpenSeam\Core\Machine\Machine;

/** How a machine looks from where one sits: what is the same for most machines of its kind. */
final readonly class MachineLook
{
    public function __construct(
        /** @var 'front'|'drop-in' where the bobbin goes in */
        public string $bobbin = 'front',
        /** The needle is threaded from its side, not from the front. */
        public bool $sideThreading = false,
        /** Turned by a crank, with neither lead nor pedal. */
        public bool $crank = false,
        /** Stitches are chosen by keys beside a screen, not by a dial. */
        public bool $screen = false,
        /** Its needle does not swing: nothing to choose a stitch or a width with. */
        public bool $straightOnly = false,
    ) {}

    /** @return non-empty-list<string> its outline, in parts of the line art: a cast body with a curved arm, on wood where a hand turns it, or one of today */
    public function body(): array
    {
        return match (true) {
            $this->screen || (! $this->crank && ! $this->sideThreading) => ['body'],
            $this->crank => ['body-cast', 'base-wood'],
            default => ['body-cast', 'base-cast'],
        };
    }

    public static function of(Machine $machine): self
    {
        $has = fn (string $also): bool => in_array($also, $machine->also, true);

        return new self($has('drop-in-bobbin') ? 'drop-in' : 'front', $has('side-threading'), $has('hand-crank'), $machine->drive === Drive::Computerised, $machine->swing->widestMm <= 0.0);
    }
}
