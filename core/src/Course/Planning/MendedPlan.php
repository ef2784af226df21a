<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** A plan put right, and what that took. */
final readonly class MendedPlan
{
    /**
     * @param  list<list<string>>  $sessions  lesson ids
     * @param  list<list<string>>  $home  lessons sewn at home after each session
     * @param  list<string>  $left  lessons for which no session has room
     * @param  list<string>  $moved  lessons that were laid in a coming session and stand in another now
     * @param  bool  $fewest  every way with fewer moves was tried, and none holds
     */
    public function __construct(public array $sessions, public array $home, public array $left, public array $moved, public bool $fewest) {}
}
