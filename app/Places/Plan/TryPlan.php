<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\CoursePlan;
use App\Models\SewingClass;
use App\Records\CourseDates;
use App\Support\LongJob;
use Illuminate\Support\Facades\DB;

/** How a plan would look with other dates and wishes: kept for a moment, shown, and taken back. */
final readonly class TryPlan
{
    public function __construct(private LayOutPlan $layOut, private ShowPlan $show) {}

    /**
     * @param  array<string, mixed>  $wishes
     * @param  array<string, int>  $settings
     */
    public function __invoke(SewingClass $class, CourseDates $dates, int $version, array $wishes, array $settings, ?LongJob $job): PlanView
    {
        $plan = CoursePlan::query()->where('class_id', $class->id)->firstOrFail();
        $laid = $this->layOut->work($class, $plan, $dates, $version, $wishes, $settings, $job);
        DB::beginTransaction();
        try {
            $this->layOut->keep($class, $laid);

            return ($this->show)($class);
        } finally {
            DB::rollBack();
        }
    }
}
