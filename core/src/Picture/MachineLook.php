<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** How a machine looks from where one sits: what is the same for most machines of its kind. */
final readonly class MachineLook
{
    public const BOBBINS = ['front', 'drop-in'];

    public function __construct(
        /** @var 'front'|'drop-in' where the bobbin goes in */
        public string $bobbin = 'front',
        /** The needle is threaded from its side, not from the front. */
        public bool $sideThreading = false,
        /** Turned by a crank, with neither lead nor pedal. */
        public bool $crank = false,
        /** Stitches are chosen by keys beside a screen, not by a dial. */
        public bool $screen = false,
    ) {}
}
