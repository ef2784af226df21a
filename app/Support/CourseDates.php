<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;

/** The weekly rule of a course: the first session, how many, how long. */
final readonly class CourseDates
{
    public function __construct(public CarbonImmutable $first, public int $sessions, public int $minutes) {}

    /** @return list<CarbonImmutable> the same clock time each week in the studio's own zone, also across a clock change */
    public function all(): array
    {
        return array_map(fn (int $week): CarbonImmutable => $this->first->addWeeks($week)->utc(), range(0, $this->sessions - 1));
    }
}
