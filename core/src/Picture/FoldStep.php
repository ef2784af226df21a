<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** How the cloth lies after an act, with what has been sewn by then. */
final readonly class FoldStep
{
    /** @param  list<Seam>  $seams */
    public function __construct(
        public string $say,
        public FoldedCloth $cloth,
        public array $seams,
        /** @var float|null the needle stands there now, across the table */
        public ?float $needle = null,
        /** @var non-empty-list<Crease>|null about what it was folded to lie like this */
        public ?array $creases = null,
        /** What was folded went over, else under. */
        public bool $over = true,
    ) {}
}
