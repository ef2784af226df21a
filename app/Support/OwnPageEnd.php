<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Enrolment;
use App\Models\PlanSession;
use App\Models\Studio;
use Carbon\CarbonImmutable;

/** Until when a student's private page can be opened: some weeks after the last session of the course. */
final class OwnPageEnd
{
    public static function of(Enrolment $enrolment): CarbonImmutable
    {
        $last = PlanSession::ofClass($enrolment->class_id)->reorder()->orderByDesc('plan_sessions.position')->first();
        $end = $last === null ? Clock::now() : max($last->endsAt(), Clock::now());

        return CarbonImmutable::instance($end)->addWeeks(Studio::query()->findOrFail($enrolment->studio_id)->page_weeks);
    }
}
