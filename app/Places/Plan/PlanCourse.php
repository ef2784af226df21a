<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Places\Class\AddStudents;
use App\Places\Class\Comers;
use App\Places\Room\FurnishRoom;
use App\Records\CourseDates;
use App\Records\Shelf;
use Illuminate\Support\Facades\DB;

/** Makes a class with its students and lays its course into sessions, or takes over how another class has it laid. */
final readonly class PlanCourse
{
    public function __construct(private AddStudents $addStudents, private LayOutPlan $layOut, private FurnishRoom $furnish, private StorePlan $store, private Shelf $shelf) {}

    /**
     * @param  int  $machines  how many stand in the room; only asked while none are kept
     * @param  array<string, mixed>  $wishes  as PlanWishes::kept() has them
     * @param  array<string, int>  $settings  of the class: columns
     * @param  string|null  $by  who makes it
     * @param  SewingClass|null  $from  the class whose plan is copied; its wishes hold where none are given
     */
    public function __invoke(string $studio, string $name, string $course, Comers $comers, CourseDates $dates, int $helpers, int $machines, array $wishes = [], array $settings = [], ?SewingClass $from = null, ?string $by = null): SewingClass
    {
        return DB::transaction(function () use ($studio, $name, $course, $comers, $dates, $helpers, $machines, $wishes, $settings, $from, $by): SewingClass {
            ($this->furnish)($studio, $machines);
            $same = $from === null ? [] : $from->only(['policy', 'school', 'settle_minutes', 'clear_minutes', 'review_every', 'review_minutes', 'pace_percent']);
            $class = SewingClass::query()->create(['studio_id' => $studio, 'name' => $name, 'course' => $course, 'helpers' => $helpers, 'made_by' => $by] + $settings + $same);
            ($this->addStudents)($class, $comers);
            // Whoever a class is made with is there from its first session on, also when that was held already.
            $class->enrolments()->update(['joined_at' => null]);
            $old = $from === null || $from->course !== $course ? null : $from->plan()->with('sessions.lessons')->first();
            $plan = ($this->layOut)($class, $dates, wishes: $wishes + ($old === null ? [] : $old->wishes()->kept() + ['sure' => $old->repeats()->sure]));
            $sessions = array_values($old?->sessions->all() ?? []);
            $laid = array_merge([], ...array_map(fn (PlanSession $s): array => [...$s->lessonIds(), ...$s->homeIds()], $sessions));
            // A plan that had run out of dates is laid out anew: the next class begins with the whole course.
            $whole = array_diff($this->shelf->order($course), $laid) === [];
            if ($whole && $wishes === [] && count($sessions) === $dates->sessions) {
                // As many sessions: each holds what it held last time, moves by hand and all.
                ($this->store)($class, array_map(fn (PlanSession $s): array => $s->lessonIds(), $sessions), $plan->version, null, array_map(fn (PlanSession $s): array => $s->homeIds(), $sessions));
            }

            return $class;
        });
    }
}
