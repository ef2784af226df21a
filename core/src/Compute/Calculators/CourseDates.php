<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use DateTimeImmutable;
use DateTimeZone;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Course\CourseCalendar;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** The dates of a course from a weekly rule. */
final class CourseDates implements Calculator
{
    private const MOST_SESSIONS = 400;

    private const DAY = '^\d{4}-\d{2}-\d{2}$';

    private const MOMENT = '^\d{4}-\d{2}-\d{2} \d{2}:\d{2}$';

    public function name(): string
    {
        return 'course-dates';
    }

    public function summary(): string
    {
        return 'Dates of a course from a weekly rule, less closed days, with make-up dates, at the same clock time across clock changes.';
    }

    public function schema(): array
    {
        return Schema::object([
            'first' => ['pattern' => self::MOMENT] + Schema::text('first session by the clock on the wall, such as 2030-05-02 18:30'),
            'zone' => Schema::text('time zone of the studio, such as UTC or Europe/Berlin'),
            'sessions' => Schema::whole('how many', 1, self::MOST_SESSIONS),
            'weekdays' => Schema::list('1 Monday to 7 Sunday; that of the first session when left out', Schema::whole('day', 1, 7), 0, 7),
            'every_weeks' => Schema::whole('weeks from one to the next', 1, 8),
            'closed' => Schema::list('days without a class', ['pattern' => self::DAY] + Schema::text('such as 2030-12-25'), 0, 600),
            'made_up' => ['type' => 'object', 'description' => 'by day: the date and time instead', 'additionalProperties' => ['pattern' => self::MOMENT] + Schema::text('such as 2030-12-28 10:00')],
        ], ['weekdays', 'every_weeks', 'closed', 'made_up']);
    }

    public function answer(): array
    {
        return Schema::object(['dates' => Schema::list('one after the other', Schema::object(['local' => Schema::text('by the clock on the wall'), 'utc' => Schema::text('ISO 8601')]))]);
    }

    public function example(): array
    {
        return ['first' => '2030-10-17 18:30', 'zone' => 'Europe/Berlin', 'sessions' => 4, 'closed' => ['2030-10-24'], 'made_up' => ['2030-11-07' => '2030-11-09 10:00']];
    }

    public function run(Data $in): array
    {
        $zone = $in->text('zone');
        in_array($zone, timezone_identifiers_list(), true) || throw InputError::at('zone', $zone, 'It must be a time zone such as UTC or Europe/Berlin.');
        $made = [];
        foreach ($in->has('made_up') ? $in->part('made_up')->raw() : [] as $day => $moment) {
            $made[self::real("made_up.$day", (string) $day, 'Y-m-d')] = self::real("made_up.$day", is_string($moment) ? $moment : '', 'Y-m-d H:i');
        }
        $calendar = new CourseCalendar(
            new DateTimeImmutable(self::real('first', $in->text('first'), 'Y-m-d H:i'), new DateTimeZone($zone)),
            array_map(intval(...), $in->numbers('weekdays')), $in->whole('every_weeks', 1),
            array_map(fn (string $d): string => self::real('closed', $d, 'Y-m-d'), $in->texts('closed')), $made,
        );

        return ['dates' => array_map(fn (DateTimeImmutable $d): array => [
            'local' => $d->setTimezone(new DateTimeZone($zone))->format('Y-m-d H:i'), 'utc' => $d->format('Y-m-d\TH:i:s\Z'),
        ], $calendar->dates($in->whole('sessions')))];
    }

    /** @throws InputError for a day that is in no calendar, such as 31 April */
    private static function real(string $field, string $value, string $format): string
    {
        $date = DateTimeImmutable::createFromFormat("!$format", $value, new DateTimeZone('UTC'));

        return $date !== false && $date->format($format) === $value ? $value : throw InputError::at($field, $value, 'There is no such day or time; it must be like '.($format === 'Y-m-d' ? '2030-12-25' : '2030-12-25 18:30').'.');
    }
}
