<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use DateTimeImmutable;
use DateTimeZone;
use OpenSeam\Core\InputError;

/**
 * The dates of a course from a weekly rule: the same clock time in the studio's
 * own zone, also across a clock change. A closed day moves its session and all
 * after it on; a make-up date takes the place of one day and leaves the others.
 */
final readonly class CourseCalendar
{
    /** Nobody closes for longer. */
    private const MOST_WEEKS = 520;

    /**
     * @param  DateTimeImmutable  $first  first session, in the studio's own zone
     * @param  list<int>  $weekdays  1 Monday to 7 Sunday; none: that of the first session
     * @param  int  $everyWeeks  1: each week
     * @param  list<string>  $closed  days such as 2030-12-25, in the studio's own zone
     * @param  array<string, string>  $madeUp  by day: the date and time instead, such as 2030-12-28 10:00
     */
    public function __construct(
        public DateTimeImmutable $first,
        public array $weekdays = [],
        public int $everyWeeks = 1,
        public array $closed = [],
        public array $madeUp = [],
    ) {}

    /**
     * @param  int  $sessions  1 or more
     * @return list<DateTimeImmutable> in UTC, one after the other
     *
     * @throws InputError when two sessions begin at the same time, a make-up date is for a day without a session, or no day is left
     */
    public function dates(int $sessions): array
    {
        $weekdays = $this->weekdays === [] ? [(int) $this->first->format('N')] : $this->weekdays;
        sort($weekdays);
        $monday = $this->first->modify(sprintf('-%d days', (int) $this->first->format('N') - 1));
        $dates = [];
        $used = [];
        for ($week = 0; count($dates) < $sessions && $week < self::MOST_WEEKS; $week += $this->everyWeeks) {
            foreach ($weekdays as $weekday) {
                $at = $monday->modify(sprintf('+%d days', 7 * $week + $weekday - 1));
                $day = $at->format('Y-m-d');
                if ($at < $this->first || count($dates) === $sessions || in_array($day, $this->closed, true)) {
                    continue;
                }
                $instead = $this->madeUp[$day] ?? null;
                $used[$day] = true;
                $dates[] = ($instead === null ? $at : new DateTimeImmutable($instead, $this->first->getTimezone()))->setTimezone(new DateTimeZone('UTC'));
            }
        }
        count($dates) === $sessions || throw InputError::at('closed', count($this->closed), 'With so many days without a class the course never ends.');
        foreach (array_keys(array_diff_key($this->madeUp, $used)) as $day) {
            throw InputError::at("made_up.$day", $this->madeUp[$day], "There is no session on $day that could be made up.");
        }
        usort($dates, fn (DateTimeImmutable $a, DateTimeImmutable $b): int => $a <=> $b);
        foreach (array_slice($dates, 1) as $i => $at) {
            $at == $dates[$i] && throw InputError::at('made_up', $at->setTimezone($this->first->getTimezone())->format('Y-m-d H:i'), 'Two sessions would begin at the same time. Choose another make-up date.');
        }

        return $dates;
    }
}
