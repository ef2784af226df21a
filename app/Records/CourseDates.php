<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\CoursePlan;
use App\Models\PlanSession;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use OpenSeam\Core\Course\CourseCalendar;
use OpenSeam\Core\InputError;

/** When a course's sessions are: the weekly rule, how many, how long, the days on which there is none, and those made up. */
final readonly class CourseDates
{
    /**
     * @param  CarbonImmutable  $first  in the studio's own zone
     * @param  int  $minutes  of a session, where nothing else is said
     * @param  list<string>  $closed  days such as 2030-12-25
     * @param  list<int>  $weekdays  1 Monday to 7 Sunday; none: that of the first
     * @param  array<string, string>  $madeUp  by day: the date and time instead
     * @param  array<array-key, int>  $lengths  minutes, by number of the session from 1, where they differ
     */
    public function __construct(
        public CarbonImmutable $first,
        public int $sessions,
        public int $minutes,
        public array $closed = [],
        public array $weekdays = [],
        public int $everyWeeks = 1,
        public array $madeUp = [],
        public array $lengths = [],
    ) {}

    /**
     * @return list<array{CarbonImmutable, int}> beginning and minutes of each
     *
     * @throws InputError when the dates cannot be
     */
    public function all(): array
    {
        foreach (array_keys($this->lengths) as $number) {
            $number >= 1 && $number <= $this->sessions || throw InputError::at("lengths.$number", $number, "The plan has sessions 1 to {$this->sessions}.");
        }
        $calendar = new CourseCalendar($this->first, $this->weekdays, $this->everyWeeks, $this->closed, $this->madeUp);
        $dates = [];
        foreach ($calendar->dates($this->sessions) as $i => $at) {
            $dates[] = [CarbonImmutable::instance($at), $this->lengths[$i + 1] ?? $this->minutes];
        }

        return $dates;
    }

    /** @return array<string, mixed> to be kept with the plan */
    public function kept(): array
    {
        return [
            'starts_on' => $this->first->format('Y-m-d'), 'time' => $this->first->format('H:i'), 'minutes' => $this->minutes,
            'closed' => $this->closed, 'weekdays' => $this->weekdays, 'every_weeks' => $this->everyWeeks, 'made_up' => $this->madeUp, 'lengths' => $this->lengths,
        ];
    }

    /**
     * The dates that a plan was laid with.
     *
     * @param  list<PlanSession>  $sessions  of the plan
     */
    public static function ofPlan(CoursePlan $plan, array $sessions, string $zone): self
    {
        /** @var array{starts_on?: string, time?: string, minutes?: int, closed?: list<string>, weekdays?: list<int>, every_weeks?: int, made_up?: array<string, string>, lengths?: array<array-key, int>} $kept */
        $kept = $plan->dates ?? [];
        $first = ($sessions[0]->starts_at ?? Clock::now())->setTimezone($zone);
        if (isset($kept['starts_on'], $kept['time'])) {
            $first = CarbonImmutable::createFromFormat('!Y-m-d H:i', "{$kept['starts_on']} {$kept['time']}", $zone) ?? $first;
        }

        return new self(
            $first, count($sessions), $kept['minutes'] ?? $sessions[0]->minutes ?? 120, $kept['closed'] ?? [], $kept['weekdays'] ?? [], $kept['every_weeks'] ?? 1,
            $kept['made_up'] ?? [], $kept['lengths'] ?? [],
        );
    }
}
