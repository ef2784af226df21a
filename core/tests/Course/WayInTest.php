<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use DateTimeImmutable;
use OpenSeam\Core\Course\WayIn;
use PHPUnit\Framework\TestCase;

final class WayInTest extends TestCase
{
    private static function of(string $joined, string ...$done): ?WayIn
    {
        $sessions = array_map(fn (int $day, array $lessons): array => ['ends' => new DateTimeImmutable("2030-05-0{$day}T20:00:00Z"), 'lessons' => $lessons], [1, 2, 3], [['a', 'b'], ['c'], ['d']]);

        return WayIn::of($sessions, new DateTimeImmutable($joined), array_values($done));
    }

    public function test_who_was_there_from_the_first_session_has_none(): void
    {
        self::assertNull(self::of('2030-04-20T10:00:00Z'));
        self::assertNull(self::of('2030-05-01T19:59:59Z'), 'still in it');
    }

    public function test_who_joins_later_sews_what_was_taught_before_in_its_order(): void
    {
        $way = self::of('2030-05-02T20:00:00Z');
        self::assertSame([3, ['a', 'b', 'c']], [$way?->from, $way?->lessons]);
    }

    public function test_what_they_bring_along_is_not_missed(): void
    {
        self::assertSame(['b'], self::of('2030-05-02T20:00:00Z', 'a', 'c', 'd')?->lessons);
        self::assertSame([], self::of('2030-05-02T20:00:00Z', 'a', 'b', 'c')?->lessons);
    }
}
