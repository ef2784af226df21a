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
        // Those of the days before are over whatever they lasted.
        $classes = SewingClass::query()->whereNull('archived_at')->with(['plan.sessions' => fn ($query) => $query->where('starts_at', '>', $now->subDays(2)->utc())])->get()->keyBy('id');
        $sessions = $classes->map(fn (SewingClass $c): array => array_values(array_map(fn (PlanSession $s): array => [$s->beginsAt(), $s->endsAt()], $c->plan?->sessions->all() ?? [])))->all();

        return array_map(fn (string $id): NamedView => new NamedView($id, $classes[$id]->name ?? ''), ClassOrder::of($sessions, $now));
    }
}
