<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;

/** A kind of presser foot as resources/feet.json describes it. */
final readonly class FootKind
{
    private function __construct(
        public string $id,
        public string $title,
        public string $about,
        public bool $straightOnly,
        /** Made for cloth that a smooth metal sole drags on. */
        public bool $sticky,
        public string $caution,
        /** Measures to start from. */
        public Data $usual,
        /** What is seen on it beside its measures. */
        public Data $look,
    ) {}

    public static function read(Data $d): self
    {
        return new self($d->text('id'), $d->text('title'), $d->text('about'), $d->flag('straight_only'), $d->flag('sticky'), $d->text('caution'), $d->part('usual'), $d->part('look'));
    }
}
