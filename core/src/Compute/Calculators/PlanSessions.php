<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Course\Planning\PlanTask;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Course\Planning\TaughtTogether;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** Lessons into as few sessions as can be, with the proof. */
final class PlanSessions implements Calculator
{
    private const MOST_SESSIONS = 400;

    public function name(): string
    {
        return 'plan-sessions';
    }

    public function summary(): string
    {
        return 'Lessons laid into the fewest sessions, proven where it can be, as even as can be, with the fewest changes of foot.';
    }

    public function schema(): array
    {
        $session = Schema::whole('number of a session, from 1', 1, self::MOST_SESSIONS);

        return Schema::object([
            'capacity_minutes' => Schema::number('usable minutes of a session', null, 100_000, 0),
            'lessons' => Schema::list('in the order the teacher has them', Schema::object([
                'id' => Schema::text('its name'), 'minutes' => Schema::number('for the whole class', null, 100_000, 0), 'needs' => Schema::texts('lessons that come before it'),
                'foot' => ['type' => ['string', 'null'], 'description' => 'kind of foot it is sewn with'],
                'not_before' => $session, 'not_after' => $session,
            ], ['needs', 'foot', 'not_before', 'not_after']), 0, SessionProblem::MOST_LESSONS),
            'session_minutes' => Schema::list('usable minutes of the first sessions, where they differ', Schema::number('min', 0, 100_000), 0, self::MOST_SESSIONS),
            'pins' => ['description' => 'lessons that must stand in a session: {"lesson": session} or [{"lesson", "session"}]', 'anyOf' => [
                ['type' => 'object', 'additionalProperties' => $session],
                ['type' => 'array', 'items' => Schema::object(['lesson' => Schema::text('an id'), 'session' => $session])],
            ]],
            'together' => Schema::list('groups of lessons that stand in one session', Schema::texts('a group')),
            'sessions' => Schema::whole('so many sessions: then the shortest equal session is looked for', 1, self::MOST_SESSIONS),
        ], ['session_minutes', 'pins', 'together', 'sessions']);
    }

    public function answer(): array
    {
        return Schema::object([
            'sessions' => Schema::list('in order', Schema::object(['lessons' => Schema::texts('in teaching order'), 'minutes' => Schema::number('used'), 'foot_changes' => Schema::whole('changes of foot', 0, 1000)])),
            'count' => Schema::whole('sessions', 0, 10_000), 'lower_bound' => Schema::whole('fewer there cannot be', 0, 10_000), 'proven' => ['type' => 'boolean', 'description' => 'fewer sessions have been shown to be impossible'],
            'bound' => Schema::oneOf('what shows it', ['minutes', 'large', 'thirds', 'chain', 'bounds', 'search']),
            'capacity_minutes' => Schema::number('of a session'),
            'reasons' => Schema::list('why each does not stand earlier', Schema::object(['lesson' => Schema::text('an id'), 'kind' => Schema::oneOf('what forces it', ['first', 'needs', 'minutes', 'pin', 'not-before']), 'because' => ['type' => ['string', 'null'], 'description' => 'the lesson it needs']])),
        ]);
    }

    public function example(): array
    {
        return ['capacity_minutes' => 105, 'lessons' => [
            ['id' => 'safe seat', 'minutes' => 35, 'needs' => []], ['id' => 'thread', 'minutes' => 60, 'needs' => ['safe seat']], ['id' => 'first seam', 'minutes' => 48, 'needs' => ['thread'], 'foot' => 'standard'],
            ['id' => 'zigzag', 'minutes' => 70, 'needs' => ['first seam'], 'foot' => 'standard'], ['id' => 'zip', 'minutes' => 90, 'needs' => ['first seam'], 'foot' => 'zip'],
        ]];
    }

    public function run(Data $in): array
    {
        $pins = self::pins($in);
        $tasks = [];
        $needs = [];
        foreach ($in->parts('lessons') as $i => $l) {
            $id = $l->text('id');
            $from = ($l->has('not_before') ? $l->whole('not_before') : 1) - 1;
            $to = $l->has('not_after') ? $l->whole('not_after') - 1 : null;
            if (isset($pins[$id])) {
                [$from, $to] = [max($from, $pins[$id]), min($to ?? PHP_INT_MAX, $pins[$id])];
                unset($pins[$id]);
            }
            $to === null || $to >= $from || throw InputError::at("lessons[$i].not_after", $to + 1, sprintf('“%s” would have to stand before session %d and not before it. Free one of its bounds.', $id, $from + 1));
            $needs[$id] = $l->texts('needs');
            $tasks[] = new PlanTask($id, $l->number('minutes'), $needs[$id], $l->has('foot') ? $l->text('foot') : null, $from, $to);
        }
        $pins === [] || throw InputError::at('pins', array_key_first($pins), 'Only a lesson of the plan can be pinned.');
        $joined = TaughtTogether::join($tasks, array_map(fn (mixed $g): array => array_values(array_filter((array) $g, is_string(...))), $in->items('together')));
        $problem = SessionProblem::of($joined->tasks, $in->number('capacity_minutes'), $in->numbers('session_minutes'));
        $plan = $in->has('sessions') ? SessionSolver::shortest($problem, $in->whole('sessions')) : SessionSolver::fewest($problem);
        $reasons = [];
        foreach ($plan->because as $id => $because) {
            foreach ($joined->members((string) $id) as $lesson) {
                $reasons[] = ['lesson' => $lesson, 'kind' => $because['kind'], 'because' => $because['lesson']];
            }
        }

        return [
            'sessions' => array_map(fn (array $s): array => ['lessons' => $joined->apart($s['lessons'], $needs), 'minutes' => $s['minutes'], 'foot_changes' => $s['changes']], $plan->sessions),
            'count' => $plan->count(), 'lower_bound' => $plan->lowerBound, 'proven' => $plan->proven, 'bound' => $plan->bound, 'capacity_minutes' => $plan->capacity, 'reasons' => $reasons,
        ];
    }

    /** @return array<string, int> session from 0, by lesson */
    private static function pins(Data $in): array
    {
        $pins = [];
        if (! $in->has('pins')) {
            return [];
        }
        foreach ($in->part('pins')->raw() as $lesson => $session) {
            if (is_array($session)) {
                [$lesson, $session] = [$session['lesson'] ?? '', $session['session'] ?? 1];
            }
            if (is_numeric($session)) {
                $pins[is_string($lesson) ? $lesson : (is_int($lesson) ? (string) $lesson : '')] = (int) $session - 1;
            }
        }

        return $pins;
    }
}
