<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Support\Clock;
use App\Views\NamedView;
use OpenSeam\Core\Course\SessionState;

/** The studio's classes: the one whose session is running or comes next first, those that are over last. */
final readonly class ListClasses
{
    /** @return list<NamedView> */
    public function __invoke(): array
    {
        $next = PlanSession::query()->selectRaw('min(plan_sessions.starts_at)')->join('course_plans', 'course_plans.id', '=', 'plan_sessions.course_plan_id')
            ->whereColumn('course_plans.class_id', 'classes.id')
            ->whereRaw('date_add(plan_sessions.starts_at, interval plan_sessions.minutes + ? minute) > ?', [SessionState::GRACE_MINUTES, Clock::now()->utc()->format('Y-m-d H:i:s')]);
        $classes = SewingClass::query()->whereNull('archived_at')->select('classes.*')->addSelect(['next_at' => $next])->orderByRaw('next_at is null')->orderBy('next_at')->orderByDesc('id')->get();

        $listed = [];
        foreach ($classes as $class) {
            $listed[] = new NamedView($class->id, $class->name);
        }

        return $listed;
    }
}
