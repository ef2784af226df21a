<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/** Who sits where with what. */
final readonly class Seating
{
    /** @param  array<string, Seat>  $seats  by student, in the order they were given */
    public function __construct(
        public array $seats,
        /** Sum of the values of what is sewn. */
        public float $value,
        /** No plan is worth more. */
        public float $upperBound,
        /** Nothing better is possible. */
        public bool $proven,
    ) {}

    /** @return list<string> lessons sewn */
    public function lessons(): array
    {
        return array_values(array_unique(array_map(fn (Seat $s): string => $s->lesson, array_values($this->seats))));
    }
}
