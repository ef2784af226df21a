<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

/** One line of the shopping list: how much of what, and how it was worked out. */
final readonly class Need
{
    public function __construct(
        /** Stable id, such as "cloth", "thread-top", "needle", "zip". */
        public string $item,
        public string $title,
        public float $amount,
        /** "m", "pieces", "bobbins". */
        public string $unit,
        /** The arithmetic in one line. */
        public string $how,
    ) {}
}
