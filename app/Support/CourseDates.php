<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;

/** The weekly rule of a course: the first session, how many, how long, and the days on which there is none. */
final readonly class CourseDates
{
    /** Nobody closes for longer. */
    private const MOST_WEEKS = 520;

    /** @param  list<string>|null  $closed  days such as 2030-12-25, in the studio's own zone; null: those known already */
    public function __construct(public CarbonImmutable $first, public int $sessions, public int $minutes, public ?array $closed = null) {}

    /** @return list<CarbonImmutable> the same clock time each week in the studio's own zone, also across a clock change; a closed day moves it and all after it on */
    public function all(): array
    {
        $dates = [];
        for ($week = 0; count($dates) < $this->sessions && $week < self::MOST_WEEKS; $week++) {
            $day = $this->first->addWeeks($week);
            in_array($day->format('Y-m-d'), $this->closed ?? [], true) || $dates[] = $day->utc();
        }

        return $dates;
    }
}
