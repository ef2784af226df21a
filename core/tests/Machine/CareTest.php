<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Machine;

use DateTimeImmutable;
use OpenSeam\Core\Machine\Care;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

/** A needle lasts about eight hours of sewing, and lint is cleared every few weeks: common practice, no source. */
final class CareTest extends TestCase
{
    /** @return list<string> */
    private static function due(float $hours, ?string $cleaned): array
    {
        return Care::due($hours, $cleaned === null ? null : new DateTimeImmutable("$cleaned UTC"), new DateTimeImmutable('2030-06-06 19:00 UTC'), Words::in());
    }

    public function test_a_needle_is_due_at_eight_hours_and_not_just_before(): void
    {
        self::assertSame([], self::due(7.99, null));
        self::assertSame(['A new needle: about 8 hours sewn since the last.'], self::due(8.0, null));
    }

    public function test_a_clean_is_due_after_four_weeks_and_never_where_none_was_noted(): void
    {
        self::assertSame([], self::due(0.0, null));
        self::assertSame([], self::due(0.0, '2030-05-09 19:00'));
        self::assertSame(['Clean it: the last time was 4 weeks ago.'], self::due(0.0, '2030-05-09 18:59'));
        self::assertSame(['Clean it: the last time was 9 weeks ago.'], self::due(0.0, '2030-04-01 19:00'));
    }

    public function test_both_are_said_and_a_clock_gone_back_says_neither(): void
    {
        self::assertCount(2, self::due(20.0, '2030-01-01'));
        self::assertSame([], self::due(0.0, '2031-01-01'));
    }
}
