<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** Lessons laid into sessions, and what is known of how short a plan can be. */
final readonly class SessionPlan
{
    /**
     * @param  list<array{lessons: list<string>, minutes: float, changes: int}>  $sessions  lessons in teaching order; changes of foot
     * @param  array<string, PlaceReason>  $because  by lesson: why it does not stand earlier
     */
    public function __construct(
        public array $sessions,
        public int $lowerBound,
        public bool $proven,
        /** What proves the bound. */
        public Bound $bound,
        public array $because,
        /** Minutes of a session, where they were looked for. */
        public float $capacity,
        /** How often a strand is taken up again after another. */
        public int $takenUp,
    ) {}

    public function count(): int
    {
        return count($this->sessions);
    }
}
