<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\CoursePlan;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Records\ClassRoom;
use App\Records\Shelf;
use App\Records\StudentRecords;
use App\Support\Conflict;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Course\Planning\MendedPlan;
use OpenSeam\Core\Course\Planning\PlanMender;

/** Puts a plan right from where the class really is, moving as few lessons as can be. */
final readonly class MendPlan
{
    public function __construct(private Shelf $shelf, private StorePlan $store, private StudentRecords $records) {}

    /** @throws Conflict when the plan has moved on */
    public function __invoke(SewingClass $class, int $version): MendedPlan
    {
        return DB::transaction(function () use ($class, $version): MendedPlan {
            $plan = CoursePlan::query()->where('class_id', $class->id)->lockForUpdate()->firstOrFail();
            if ($version !== $plan->version) {
                throw Conflict::stalePlan($version, $plan->version);
            }
            $sessions = array_values($plan->sessions()->with('lessons')->get()->all());
            $taught = Taught::of($class, $sessions, $this->records);
            $mended = PlanMender::mend(
                ClassRoom::of($class)->lessons($this->shelf, $class->course, $plan->repeats()), array_map(fn (PlanSession $s): float => $class->frame()->usable($s->position, $s->minutes), $sessions),
                array_map(fn (PlanSession $s): array => $s->lessonIds(), $sessions), count($taught->kept), $taught->all(), $plan->wishes(),
            );
            $this->store->write($plan, $mended->sessions, array_replace($mended->home, $taught->home));

            return $mended;
        });
    }
}
