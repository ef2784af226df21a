<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CoursePlan;
use App\Models\PlannedLesson;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Support\ClassRoom;
use App\Support\Conflict;
use App\Support\CourseDates;
use App\Support\Shelf;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Course\SessionPlanner;
use OpenSeam\Core\Course\SessionTape;

/** Lays the course into sessions: new dates, or the dates it has. */
final readonly class LayOutPlan
{
    public function __construct(private Shelf $shelf, private StorePlan $store) {}

    /** @throws Conflict when $version is given and the plan has moved on */
    public function __invoke(SewingClass $class, ?CourseDates $dates = null, ?int $version = null): CoursePlan
    {
        return DB::transaction(function () use ($class, $dates, $version): CoursePlan {
            $plan = CoursePlan::query()->firstOrCreate(['class_id' => $class->id], ['studio_id' => $class->studio_id]);
            $plan = CoursePlan::query()->lockForUpdate()->findOrFail($plan->id);
            if ($version !== null && $version !== $plan->version) {
                throw Conflict::stalePlan($version, $plan->version);
            }
            if ($dates !== null) {
                $this->setDates($plan, $dates);
            }
            $sessions = array_values($plan->sessions()->get()->all());
            $laid = SessionPlanner::lay(
                ClassRoom::of($class)->lessons($this->shelf, $class->course),
                array_map(fn (PlanSession $s): float => SessionTape::usable($s->minutes), $sessions),
            );

            return $this->store->write($plan, $laid['sessions']);
        });
    }

    /** Sessions that stay keep their id: samples point to them. */
    private function setDates(CoursePlan $plan, CourseDates $dates): void
    {
        $old = $plan->sessions()->get()->keyBy('position');
        foreach ($dates->all() as $position => $start) {
            $values = ['studio_id' => $plan->studio_id, 'starts_at' => $start, 'minutes' => $dates->minutes];
            PlanSession::query()->updateOrCreate(['course_plan_id' => $plan->id, 'position' => $position], $values);
            $old->forget($position);
        }
        PlannedLesson::query()->whereIn('plan_session_id', $old->modelKeys())->delete();
        PlanSession::query()->whereKey($old->modelKeys())->delete();
    }
}
