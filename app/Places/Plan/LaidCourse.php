<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Records\CourseDates;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\Repeats;

/** A course laid out, and not kept yet. */
final readonly class LaidCourse
{
    /**
     * @param  list<list<string>>  $sessions  lesson ids
     * @param  list<list<string>>  $home  lessons sewn at home after each session
     * @param  array{count: int, low: int, proven: bool, bound: string, used: float, usable: float, because: array<string, array{kind: string, lesson: string|null}>, begun: int, shortest: float|null}  $proof
     * @param  array<string, int>  $settings  of the class, where they change
     */
    public function __construct(public int $version, public CourseDates $dates, public PlanWishes $wishes, public array $sessions, public array $home, public array $proof, public array $settings, public Repeats $repeats) {}
}
