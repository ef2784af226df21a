<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use DateTimeImmutable;

/**
 * Somebody who joins when a course has begun: what they missed is their own way
 * in, sewn in the order of the course beside what the class sews. The plan of
 * the class stays as it is.
 */
final readonly class WayIn
{
    /** @param  list<string>  $lessons  that were taught before and are not done yet, in the order they were taught */
    private function __construct(
        /** The first session they can come to, from 1. */
        public int $from,
        public array $lessons,
    ) {}

    /**
     * @param  list<array{ends: DateTimeImmutable, lessons: list<string>}>  $sessions  in order
     * @param  list<string>  $done  lessons they have sewn well, here or before
     * @return self|null null for who was there from the first session on
     */
    public static function of(array $sessions, DateTimeImmutable $joined, array $done): ?self
    {
        $missed = array_filter($sessions, fn (array $s): bool => $s['ends'] <= $joined);
        if ($missed === []) {
            return null;
        }
        $lessons = array_merge([], ...array_column($missed, 'lessons'));

        return new self(count($missed) + 1, array_values(array_unique(array_diff($lessons, $done))));
    }
}
