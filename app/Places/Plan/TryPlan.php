<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\CoursePlan;
use App\Models\PlannedLesson;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Records\CourseDates;
use App\Support\LongJob;
use Illuminate\Database\Eloquent\Collection;

/** How a plan would look with other dates and wishes: worked out from values, nothing of it is kept. */
final readonly class TryPlan
{
    public function __construct(private LayOutPlan $layOut, private ShowPlan $show) {}

    /**
     * @param  array<string, mixed>  $wishes
     * @param  array<string, int>  $settings
     */
    public function __invoke(SewingClass $class, CourseDates $dates, int $version, array $wishes, array $settings, ?LongJob $job): PlanView
    {
        $plan = CoursePlan::query()->with('sessions.lessons')->where('class_id', $class->id)->firstOrFail();
        $laid = $this->layOut->work($class, $plan, $dates, $version, $wishes, $settings, $job);
        $tried = (clone $class)->fill($settings);
        $tried->setRelation('plan', self::plan($plan, $laid));

        return ($this->show)($tried);
    }

    /** The plan as it would be at its next version. */
    private static function plan(CoursePlan $plan, LaidCourse $laid): CoursePlan
    {
        $tried = clone $plan;
        LayOutPlan::note($tried, $laid);
        $tried->version++;
        $sessions = [];
        foreach ($laid->dates->all() as $i => [$start, $minutes]) {
            $session = (clone ($plan->sessions[$i] ?? new PlanSession(['id' => "new-$i", 'position' => $i])))->fill(['starts_at' => $start, 'minutes' => $minutes]);
            $lesson = fn (string $id, bool $home): PlannedLesson => new PlannedLesson(['lesson' => $id, 'at_home' => $home]);
            $session->setRelation('lessons', new Collection([
                ...array_map(fn (string $id): PlannedLesson => $lesson($id, false), $laid->sessions[$i] ?? []), ...array_map(fn (string $id): PlannedLesson => $lesson($id, true), $laid->home[$i] ?? []),
            ]));
            $sessions[] = $session;
        }

        return $tried->setRelation('sessions', new Collection($sessions));
    }
}
