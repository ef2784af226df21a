<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\CoursePlan;
use App\Models\SewingClass;
use App\Records\ClassRoom;
use App\Records\CountRepeats;
use App\Records\Shelf;
use App\Records\StudentRecords;
use OpenSeam\Core\Course\Planning\CourseLayout;
use OpenSeam\Core\Course\Planning\PlanMender;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\Repeats;
use OpenSeam\Core\Deadline;

/** What each way of planning costs in sessions: one sample of each lesson, or time to sew again for a share of the class. */
final readonly class CostPlan
{
    /** More sessions than any class has. */
    private const SESSIONS = 60;

    /** For each way; where fewer sessions are not ruled out by then, the fewest found are told. */
    private const SECONDS = 0.5;

    public function __construct(private Shelf $shelf, private StudentRecords $records, private CountRepeats $repeats) {}

    /** @return list<PlanCostView> one sample each first */
    public function __invoke(SewingClass $class): array
    {
        $plan = CoursePlan::query()->with('sessions.lessons')->where('class_id', $class->id)->firstOrFail();
        $sessions = array_values($plan->sessions->all());
        $taught = Taught::of($class, $sessions, $this->records);
        $begun = count($taught->kept);
        $room = ClassRoom::of($class);
        $usual = $sessions === [] ? 120 : $sessions[count($sessions) - 1]->minutes;
        $usable = array_map(fn (int $i): float => $class->frame()->usable($begun + $i, ($sessions[$begun + $i] ?? null)->minutes ?? $usual), range(0, self::SESSIONS - 1));
        // Pins and bounds count sessions of these dates; home lessons and groups hold whatever the dates are.
        $wishes = PlanWishes::of(['pins' => [], 'not_before' => [], 'not_after' => []] + $plan->wishes()->kept())->toCome($begun, $taught->all());
        $to = fn (Repeats $repeats): array => PlanMender::toCome($room->lessons($this->shelf, $class->course, $repeats), $taught->all());
        $rest = array_values(array_diff(array_column($to(new Repeats), 'id'), $wishes->home));
        $costs = [];
        foreach ([null, $plan->repeats()->sure ?? Repeats::USUAL] as $sure) {
            $repeats = $sure === null || $rest === [] ? new Repeats : ($this->repeats)($class, $room, $rest, max($usable), $sure);
            $deadline = Deadline::in(self::SECONDS);
            $laid = CourseLayout::of($to($repeats), $usable, $wishes, fn (): bool => ! $deadline->passed());
            $costs[] = new PlanCostView($sure, $begun + $laid->plan->count() + $repeats->sessions, $laid->plan->proven, array_sum($repeats->minutes), $repeats->samples);
        }

        return $costs;
    }
}
