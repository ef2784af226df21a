<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Support\Clock;
use App\Views\NamedView;
use Illuminate\Database\Query\JoinClause;
use OpenSeam\Core\Course\ClassOrder;

/** The studio's classes, in the order in which they are needed. */
final readonly class ListClasses
{
    /** @return list<NamedView> */
    public function __invoke(): array
    {
        $now = Clock::now();
        $names = $sessions = [];
        // Of the sessions of the days before all are over whatever they lasted. Every page asks for this: one question.
        $rows = SewingClass::query()->whereNull('classes.archived_at')->toBase()
            ->leftJoin('course_plans', 'course_plans.class_id', '=', 'classes.id')
            ->leftJoin('plan_sessions', fn (JoinClause $join) => $join->on('plan_sessions.course_plan_id', 'course_plans.id')->where('plan_sessions.starts_at', '>', $now->subDays(2)->utc()->format('Y-m-d H:i:s')))
            ->get(['classes.id', 'classes.name', 'plan_sessions.starts_at', 'plan_sessions.minutes', 'plan_sessions.begun_at', 'plan_sessions.ended_at']);
        foreach ($rows as $row) {
            /** @var object{id: string, name: string, starts_at: string|null} $row */
            $names[$row->id] = $row->name;
            $sessions[$row->id] ??= [];
            if ($row->starts_at !== null) {
                $session = (new PlanSession)->newFromBuilder((array) $row);
                $sessions[$row->id][] = [$session->beginsAt(), $session->endsAt()];
            }
        }

        return array_map(fn (string $id): NamedView => new NamedView($id, $names[$id]), ClassOrder::of($sessions, $now));
    }
}
