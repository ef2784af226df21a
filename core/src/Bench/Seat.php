<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/** One student with a lesson, at a machine, with a foot. */
final readonly class Seat
{
    public function __construct(
        public string $student,
        public string $lesson,
        public string $machine,
        /** Kind of foot; null where the lesson needs none of its own. */
        public ?string $foot,
        /** Which stock it comes from. */
        public ?int $stock = null,
    ) {}
}
