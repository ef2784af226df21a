<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** How a strip lies after an act, with what has been sewn by then. */
final readonly class FoldStep
{
    /** @param  list<Seam>  $seams */
    public function __construct(
        public string $say,
        public FoldedStrip $strip,
        public array $seams,
        /** @var float|null the needle stands there now, across the table */
        public ?float $needle = null,
        /** @var array{at: float, start: bool, over: bool}|null the crease it was folded about to lie like this: its place along the cloth, which side moved, and how */
        public ?array $crease = null,
    ) {}
}
