<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CoursePlan;
use App\Models\PlannedLesson;
use App\Models\PlanSession;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Support\ClassRoom;
use App\Support\Clock;
use App\Support\Conflict;
use App\Support\CourseDates;
use App\Support\Shelf;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Course\Planning\CourseLayout;
use OpenSeam\Core\Course\Planning\PlanMender;
use OpenSeam\Core\Course\SessionTape;
use OpenSeam\Core\InputError;

/** Lays the course into sessions: new dates, or the dates it has. */
final readonly class LayOutPlan
{
    public function __construct(private Shelf $shelf, private StorePlan $store) {}

    /**
     * @param  array<array-key, int>|null  $pins  session from 0, by lesson; null: those it has
     *
     * @throws Conflict when $version is given and the plan has moved on
     * @throws InputError when pins cannot all hold, or name what is not there
     */
    public function __invoke(SewingClass $class, ?CourseDates $dates = null, ?int $version = null, ?array $pins = null): CoursePlan
    {
        return DB::transaction(function () use ($class, $dates, $version, $pins): CoursePlan {
            $plan = CoursePlan::query()->firstOrCreate(['class_id' => $class->id], ['studio_id' => $class->studio_id]);
            $plan = CoursePlan::query()->lockForUpdate()->findOrFail($plan->id);
            if ($version !== null && $version !== $plan->version) {
                throw Conflict::stalePlan($version, $plan->version);
            }
            if ($dates !== null) {
                $this->setDates($plan, $dates);
            }
            $sessions = array_values($plan->sessions()->with('lessons')->get()->all());
            $plan->wishes = ['pins' => $this->store->pins($class, $pins ?? $plan->wishes['pins'] ?? [], count($sessions)), 'closed' => $dates->closed ?? $plan->wishes['closed'] ?? []];
            $usable = array_map(fn (PlanSession $s): float => SessionTape::usable($s->minutes), $sessions);
            $lessons = ClassRoom::of($class)->lessons($this->shelf, $class->course);
            $kept = $this->taught($class, $sessions);
            // What was taught stays in its session; the rest is laid into those to come.
            [$rest, $toCome] = PlanMender::toCome($lessons, $kept, $plan->wishes['pins']);
            $laid = CourseLayout::of($rest, array_slice($usable, count($kept)), $toCome);
            $plan->proof = [
                'version' => $plan->version + 1, 'count' => $laid->plan->count(), 'low' => $laid->plan->lowerBound, 'proven' => $laid->plan->proven, 'bound' => $laid->plan->bound,
                'used' => array_sum(array_column($rest, 'minutes')), 'usable' => max([0.0, ...$usable]), 'because' => $laid->plan->because, 'begun' => count($kept),
            ];

            return $this->store->write($plan, [...$kept, ...$laid->sessions]);
        });
    }

    /**
     * Puts a plan right from where the class really is, moving as few lessons as can be.
     *
     * @return list<string> lessons that were moved
     *
     * @throws Conflict when the plan has moved on
     */
    public function mend(SewingClass $class, int $version): array
    {
        return DB::transaction(function () use ($class, $version): array {
            $plan = CoursePlan::query()->where('class_id', $class->id)->lockForUpdate()->firstOrFail();
            if ($version !== $plan->version) {
                throw Conflict::stalePlan($version, $plan->version);
            }
            $sessions = array_values($plan->sessions()->with('lessons')->get()->all());
            $kept = $this->taught($class, $sessions);
            $mended = PlanMender::mend(
                ClassRoom::of($class)->lessons($this->shelf, $class->course), array_map(fn (PlanSession $s): float => SessionTape::usable($s->minutes), $sessions),
                array_map(fn (PlanSession $s): array => $s->lessonIds(), $sessions), count($kept), array_merge([], ...$kept), $plan->wishes['pins'] ?? [],
            );
            $this->store->write($plan, $mended->sessions);

            return $mended->moved;
        });
    }

    /**
     * The sessions that have begun, with what was taught in them: of the one running, all of it; of those
     * that are over, the lessons of which a sample was kept. Nothing while nobody has sewn yet.
     *
     * @param  list<PlanSession>  $sessions
     * @return list<list<string>>
     */
    private function taught(SewingClass $class, array $sessions): array
    {
        $sewn = Sample::query()->where('class_id', $class->id)->distinct()->pluck('lesson')->all();
        if ($sewn === []) {
            return [];
        }
        $now = Clock::now();
        $kept = [];
        foreach ($sessions as $session) {
            if ($session->starts_at > $now) {
                break;
            }
            $kept[] = $session->endsAt() > $now ? $session->lessonIds() : array_values(array_intersect($session->lessonIds(), $sewn));
        }

        return $kept;
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
