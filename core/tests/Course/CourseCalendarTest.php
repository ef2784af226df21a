<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use DateTimeImmutable;
use DateTimeZone;
use OpenSeam\Core\Course\CourseCalendar;
use OpenSeam\Core\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CourseCalendarTest extends TestCase
{
    private static function at(string $local, string $zone = 'Europe/Berlin'): DateTimeImmutable
    {
        return new DateTimeImmutable($local, new DateTimeZone($zone));
    }

    /** @return list<string> */
    private static function said(CourseCalendar $calendar, int $sessions): array
    {
        return array_map(fn (DateTimeImmutable $d): string => $d->format('m-d H:i e'), $calendar->dates($sessions));
    }

    /** Summer time ends in Central Europe on the last Sunday of October at 01:00 UTC (Directive 2000/84/EC, from memory): the 27th in 2030. */
    public function test_the_clock_time_stays_across_a_clock_change(): void
    {
        self::assertSame(['10-17 16:30 UTC', '10-24 16:30 UTC', '10-31 17:30 UTC'], self::said(new CourseCalendar(self::at('2030-10-17 18:30')), 3));
        // In spring 02:30 does not exist on the last Sunday of March: the session begins when the clocks have moved on.
        self::assertSame(['03-24 01:30 UTC', '03-31 01:30 UTC', '04-07 00:30 UTC'], self::said(new CourseCalendar(self::at('2030-03-24 02:30')), 3));
        // South of the equator summer time begins in October.
        self::assertSame(['10-01 08:30 UTC', '10-08 07:30 UTC'], self::said(new CourseCalendar(self::at('2030-10-01 18:30', 'Australia/Sydney')), 2));
    }

    public function test_weekdays_fortnights_and_the_turn_of_the_year(): void
    {
        $twice = new CourseCalendar(self::at('2030-12-24 10:00'), [4, 2], closed: ['2030-12-26']);
        self::assertSame(['12-24 09:00 UTC', '12-31 09:00 UTC', '01-02 09:00 UTC', '01-07 09:00 UTC'], self::said($twice, 4));
        self::assertSame(['12-25 09:00 UTC', '01-08 09:00 UTC', '01-22 09:00 UTC'], self::said(new CourseCalendar(self::at('2030-12-25 10:00'), everyWeeks: 2), 3));
        // The first session is on a day of the rule, or on the next.
        self::assertSame(['12-26 09:00 UTC'], self::said(new CourseCalendar(self::at('2030-12-25 10:00'), [4]), 1));
    }

    public function test_a_make_up_date_leaves_the_others(): void
    {
        $calendar = new CourseCalendar(self::at('2030-05-02 18:30'), madeUp: ['2030-05-09' => '2030-05-11 10:00', '2030-05-16' => '2030-06-01 10:00']);
        self::assertSame(['05-02 16:30 UTC', '05-11 08:00 UTC', '05-23 16:30 UTC', '06-01 08:00 UTC'], self::said($calendar, 4));
    }

    /** @return iterable<string, array{CourseCalendar, string, string}> */
    public static function impossible(): iterable
    {
        yield 'twice at once' => [new CourseCalendar(self::at('2030-05-02 18:30'), madeUp: ['2030-05-09' => '2030-05-16 18:30']), 'made_up', 'same time'];
        yield 'for a day without a session' => [new CourseCalendar(self::at('2030-05-02 18:30'), madeUp: ['2030-05-10' => '2030-05-11 10:00']), 'made_up.2030-05-10', 'no session on 2030-05-10'];
        yield 'never' => [new CourseCalendar(self::at('2030-05-02 18:30'), closed: array_map(fn (int $w): string => self::at('2030-05-02')->modify("+$w weeks")->format('Y-m-d'), range(0, 530))), 'closed', 'never ends'];
    }

    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_named(CourseCalendar $calendar, string $field, string $said): void
    {
        try {
            $calendar->dates(4);
            self::fail('There were dates.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
        }
    }
}
