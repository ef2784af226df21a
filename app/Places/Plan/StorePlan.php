<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\CoursePlan;
use App\Models\PlannedLesson;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Records\Shelf;
use App\Support\Conflict;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\InputError;

/** Keeps a plan as the teacher laid it. A plan with problems is kept too: the teacher decides. */
final readonly class StorePlan
{
    public function __construct(private Shelf $shelf) {}

    /**
     * @param  list<list<string>>  $sessions  lesson ids by session
     * @param  array<array-key, int>|null  $pins  session from 0, by lesson; null: those it has
     * @param  list<list<string>>|null  $home  lessons sewn at home after each session; null: those it has, where they have
     *
     * @throws Conflict when the plan has moved on
     * @throws InputError for a lesson that is not of the course, or twice in the plan
     */
    public function __invoke(SewingClass $class, array $sessions, int $version, ?array $pins = null, ?array $home = null): CoursePlan
    {
        return DB::transaction(function () use ($class, $sessions, $version, $pins, $home): CoursePlan {
            $plan = CoursePlan::query()->where('class_id', $class->id)->lockForUpdate()->firstOrFail();
            if ($version !== $plan->version) {
                throw Conflict::stalePlan($version, $plan->version);
            }
            $count = $plan->sessions()->count();
            if (count($sessions) !== $count) {
                throw InputError::at('sessions', count($sessions), "The plan has $count sessions; give the lessons of each, an empty list for none.");
            }
            $order = $this->shelf->order($class->course);
            $seen = [];
            foreach (['sessions' => $sessions, 'home' => $home ?? []] as $field => $lists) {
                foreach ($lists as $s => $lessons) {
                    $s < $count || throw InputError::at("$field.$s", $lessons, "The plan has $count sessions.");
                    foreach ($lessons as $i => $lesson) {
                        in_array($lesson, $order, true) || throw InputError::at("$field.$s.$i", $lesson, 'This must be a lesson of the course: '.implode(', ', $order).'.');
                        isset($seen[$lesson]) && throw InputError::at("$field.$s.$i", $lesson, 'This lesson is in the plan already; each lesson once.');
                        $seen[$lesson] = true;
                    }
                }
            }
            $home ??= array_values(array_map(fn (PlanSession $s): array => array_values(array_diff($s->homeIds(), array_keys($seen))), $plan->sessions()->with('lessons')->get()->all()));
            $wishes = PlanWishes::of(['home' => array_merge([], ...$home)] + ($pins === null ? [] : ['pins' => $pins]) + $plan->wishes()->kept());
            // A lesson taken into class is not sewn at home any more; one sent home loses its pin.
            $wishes = PlanWishes::of(['pins' => array_diff_key($wishes->pins, array_flip($wishes->home))] + $wishes->kept());
            $wishes->check($order, $count);
            $plan->wishes = $wishes->kept();

            return $this->write($plan, $sessions, $home);
        });
    }

    /**
     * @param  list<list<string>>  $sessions
     * @param  list<list<string>>  $home  lessons sewn at home after each session
     */
    public function write(CoursePlan $plan, array $sessions, array $home): CoursePlan
    {
        $ids = array_values($plan->sessions()->pluck('id')->all());
        PlannedLesson::query()->whereIn('plan_session_id', $ids)->delete();
        $rows = [];
        foreach ($sessions as $s => $lessons) {
            foreach ([...$lessons, ...$home[$s] ?? []] as $position => $lesson) {
                $rows[] = ['id' => strtolower((string) Str::ulid()), 'studio_id' => $plan->studio_id, 'plan_session_id' => $ids[$s], 'lesson' => $lesson, 'position' => $position, 'at_home' => $position >= count($lessons), 'created_at' => now(), 'updated_at' => now()];
            }
        }
        PlannedLesson::query()->insert($rows);
        $plan->version++;
        $plan->save();

        return $plan;
    }
}
