<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\CoursePlan;
use App\Models\PlannedLesson;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Records\ClassRoom;
use App\Records\CountRepeats;
use App\Records\CourseDates;
use App\Records\Shelf;
use App\Records\StudentRecords;
use App\Support\Conflict;
use App\Support\LongJob;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Course\Planning\CourseLayout;
use OpenSeam\Core\Course\Planning\PlaceReason;
use OpenSeam\Core\Course\Planning\PlanMender;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Course\Repeats;
use OpenSeam\Core\InputError;

/** Lays the course into sessions: new dates, or the dates it has. */
final readonly class LayOutPlan
{
    public function __construct(private Shelf $shelf, private StorePlan $store, private StudentRecords $records, private CountRepeats $repeats) {}

    /**
     * @param  array<string, mixed>  $wishes  what changes of the plan's wishes, as PlanWishes::kept() has it
     * @param  array<string, int>  $settings  what changes of the class: columns
     *
     * @throws Conflict when $version is given and the plan has moved on
     * @throws InputError when wishes cannot all hold, or name what is not there
     */
    public function __invoke(SewingClass $class, ?CourseDates $dates = null, ?int $version = null, array $wishes = [], array $settings = [], ?LongJob $job = null): CoursePlan
    {
        $plan = CoursePlan::query()->firstOrCreate(['class_id' => $class->id], ['studio_id' => $class->studio_id]);

        return $this->keep($class, $this->work($class, $plan, $dates, $version, $wishes, $settings, $job));
    }

    /**
     * Lays it out and keeps nothing yet: this may take a while, and nothing is locked meanwhile.
     *
     * @param  array<string, mixed>  $wishes
     * @param  array<string, int>  $settings
     */
    public function work(SewingClass $class, CoursePlan $plan, ?CourseDates $dates, ?int $version, array $wishes, array $settings, ?LongJob $job = null): LaidCourse
    {
        if ($version !== null && $version !== $plan->version) {
            throw Conflict::stalePlan($version, $plan->version);
        }
        $class = (clone $class)->fill($settings);
        $sessions = array_values($plan->sessions()->with('lessons')->get()->all());
        $dates ??= CourseDates::ofPlan($plan, $sessions, Studio::query()->findOrFail($class->studio_id)->timezone);
        /** @var array{pins?: array<array-key, int>, sure?: float|null} $asked */
        $asked = $wishes + $plan->wishes()->kept();
        $wishes = PlanWishes::of($asked);
        $usable = [];
        foreach ($dates->all() as $i => [, $minutes]) {
            $usable[] = $class->frame()->usable($i, $minutes);
        }
        $taught = Taught::of($class, array_slice($sessions, 0, $dates->sessions), $this->records);
        $begun = count($taught->kept);
        // What was taught stays in its session; the rest is laid into those to come.
        $room = ClassRoom::of($class);
        $rest = PlanMender::toCome($room->lessons($this->shelf, $class->course), $taught->all());
        $sure = array_key_exists('sure', $asked) ? $asked['sure'] : $plan->repeats()->sure;
        $repeats = ! is_numeric($sure) || $rest === [] ? new Repeats : ($this->repeats)($class, $room, array_values(array_diff(array_column($rest, 'id'), $wishes->home)), max([0.0, ...array_slice($usable, $begun)]), (float) $sure);
        $rest = PlanMender::toCome($room->lessons($this->shelf, $class->course, $repeats), $taught->all());
        try {
            $wishes->check($this->shelf->order($class->course), $dates->sessions);
            $laid = CourseLayout::of(
                $rest, array_slice($usable, $begun), $wishes->toCome($begun, $taught->all()),
                $job === null ? null : fn (int $steps, int $found): bool => $job->goesOn($steps, SessionSolver::BUDGET, $begun + $found),
            );
        } catch (InputError $e) {
            throw $this->shelf->inTitles($e);
        }
        $proof = [
            'count' => $laid->plan->count(), 'low' => $laid->plan->lowerBound, 'proven' => $laid->plan->proven, 'bound' => $laid->plan->bound->value,
            'used' => array_sum(array_map(fn (array $l): float => in_array($l['id'], $wishes->home, true) ? 0.0 : $l['minutes'], $rest)),
            'usable' => max([0.0, ...array_slice($usable, $begun)]), 'because' => array_map(fn (PlaceReason $r): array => ['kind' => $r->kind->value, 'lesson' => $r->lesson], $laid->because), 'begun' => $begun, 'shortest' => $laid->shortest,
        ];

        return new LaidCourse($plan->version, $dates, $wishes, [...$taught->kept, ...$laid->sessions], [...$taught->home, ...$laid->home], $proof, $settings, $repeats);
    }

    /** @throws Conflict when the plan has moved on meanwhile */
    public function keep(SewingClass $class, LaidCourse $laid): CoursePlan
    {
        return DB::transaction(function () use ($class, $laid): CoursePlan {
            $plan = CoursePlan::query()->where('class_id', $class->id)->lockForUpdate()->firstOrFail();
            if ($laid->version !== $plan->version) {
                throw Conflict::stalePlan($laid->version, $plan->version);
            }
            $laid->settings === [] || $class->update($laid->settings);
            $this->setDates($plan, $laid->dates);
            self::note($plan, $laid);

            return $this->store->write($plan, $laid->sessions, $laid->home);
        });
    }

    /** What was asked for, when it is, what is kept for sewing again and how good it is, as they will be at the next version. */
    public static function note(CoursePlan $plan, LaidCourse $laid): void
    {
        [$plan->dates, $plan->wishes, $plan->repeats] = [$laid->dates->kept(), $laid->wishes->kept(), $laid->repeats->kept()];
        $plan->proof = ['version' => $plan->version + 1] + $laid->proof;
    }

    /** Sessions that stay keep their id: samples and calendars point to them. */
    private function setDates(CoursePlan $plan, CourseDates $dates): void
    {
        $old = $plan->sessions()->get()->keyBy('position');
        foreach ($dates->all() as $position => [$start, $minutes]) {
            $values = ['studio_id' => $plan->studio_id, 'starts_at' => $start, 'minutes' => $minutes];
            PlanSession::query()->updateOrCreate(['course_plan_id' => $plan->id, 'position' => $position], $values);
            $old->forget($position);
        }
        PlannedLesson::query()->whereIn('plan_session_id', $old->modelKeys())->delete();
        PlanSession::query()->whereKey($old->modelKeys())->delete();
    }
}
