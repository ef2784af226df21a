<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Support\Clock;
use App\Views\NamedView;
use OpenSeam\Core\Course\ClassOrder;

/** The studio's classes, in the order in which they are needed. */
final readonly class ListClasses
{
    /** @return list<NamedView> */
    public function __invoke(): array
    {
        $now = Clock::now();
        /** @var array<string, string> $names */
        $names = SewingClass::query()->whereNull('archived_at')->toBase()->pluck('name', 'id')->all();
        $sessions = array_fill_keys(array_keys($names), []);
        // Those of the days before are over whatever they lasted.
        $ahead = PlanSession::query()->select('plan_sessions.*', 'course_plans.class_id')->join('course_plans', 'course_plans.id', '=', 'plan_sessions.course_plan_id')
            ->whereIn('course_plans.class_id', array_keys($names))->where('plan_sessions.starts_at', '>', $now->subDays(2)->utc())->get();
        foreach ($names === [] ? [] : $ahead as $session) {
            $sessions[(string) $session->getAttribute('class_id')][] = [$session->beginsAt(), $session->endsAt()];
        }

        return array_map(fn (string $id): NamedView => new NamedView($id, $names[$id]), ClassOrder::of($sessions, $now));
    }
}
