<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use DateTimeImmutable;

/** In which order a teacher's classes stand: whose session is in hand or comes next first, those that are over behind, the newest before the older. */
final class ClassOrder
{
    /**
     * @param  array<string, list<array{DateTimeImmutable, DateTimeImmutable}>>  $sessions  begin and end of each, by class; ids rise with the age of a class
     * @return list<string>
     */
    public static function of(array $sessions, DateTimeImmutable $now): array
    {
        $next = array_map(fn (array $of): ?int => self::next($of, $now), $sessions);
        $ids = array_map(strval(...), array_keys($sessions));
        usort($ids, fn (string $a, string $b): int => [$next[$a] ?? PHP_INT_MAX, $b] <=> [$next[$b] ?? PHP_INT_MAX, $a]);

        return $ids;
    }

    /** @param  list<array{DateTimeImmutable, DateTimeImmutable}>  $sessions */
    private static function next(array $sessions, DateTimeImmutable $now): ?int
    {
        $open = array_filter($sessions, fn (array $s): bool => ! SessionState::isOver($s[1], $now));

        return $open === [] ? null : min(array_map(fn (array $s): int => $s[0]->getTimestamp(), $open));
    }
}
