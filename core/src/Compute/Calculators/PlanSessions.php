<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Course\Planning\Bound;
use OpenSeam\Core\Course\Planning\CourseTasks;
use OpenSeam\Core\Course\Planning\FootOrder;
use OpenSeam\Core\Course\Planning\Holds;
use OpenSeam\Core\Course\Planning\PlanTask;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Course\Planning\TeachingOrder;
use OpenSeam\Core\Course\SessionFrame;
use OpenSeam\Core\Data;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;

/** Lessons into as few sessions as can be, with the proof. */
final class PlanSessions implements Calculator
{
    private const MOST_SESSIONS = 400;

    /** For the search; a first plan and the order inside the sessions come on top. */
    private const SECONDS = 2.5;

    public function name(): string
    {
        return 'plan-sessions';
    }

    public function summary(): string
    {
        return 'Lessons laid into the fewest sessions, proven where it can be, as even as can be, with the fewest changes of foot and strands kept together.';
    }

    public function schema(): array
    {
        $session = Schema::whole('number of a session, from 1', 1, self::MOST_SESSIONS);

        return Schema::object([
            'capacity_minutes' => Schema::number('usable minutes of a session', null, 100_000, 0),
            'lessons' => Schema::list('in the order the teacher has them', Schema::object([
                'id' => Schema::text('its name'), 'minutes' => Schema::number('for the whole class', null, 100_000, 0), 'needs' => Schema::texts('lessons that come before it'),
                'foot' => ['type' => ['string', 'null'], 'description' => 'kind of foot it is sewn with'], 'strand' => ['type' => ['string', 'null'], 'description' => 'what it belongs to; strands are kept together'],
                'not_before' => $session, 'not_after' => $session,
                'home' => ['type' => 'boolean', 'description' => 'sewn at home between two sessions, without class time'],
            ], ['needs', 'foot', 'strand', 'not_before', 'not_after', 'home']), 0, SessionProblem::MOST_LESSONS),
            'session_minutes' => Schema::list('usable minutes of the first sessions, where they differ', Schema::number('min', 0, 100_000), 0, self::MOST_SESSIONS),
            'pins' => ['description' => 'lessons that must stand in a session: {"lesson": session} or [{"lesson", "session"}]', 'anyOf' => [
                ['type' => 'object', 'additionalProperties' => $session],
                ['type' => 'array', 'items' => Schema::object(['lesson' => Schema::text('an id'), 'session' => $session])],
            ]],
            'together' => Schema::list('groups of lessons that stand in one session', Schema::texts('a group')),
            'sessions' => Schema::whole('so many sessions: then the shortest equal session is looked for', 1, self::MOST_SESSIONS),
            'school' => Schema::oneOf('teaching order where there is a choice, kept where it costs no session; "one-day": what one session holds', array_map(fn (TeachingOrder $o): string => $o->value, TeachingOrder::cases())),
            'review_every' => Schema::whole('sessions from one review to the next', 1, self::MOST_SESSIONS),
            'review_minutes' => Schema::number('minutes of a review, taken from its session', 0, 600),
        ], ['session_minutes', 'pins', 'together', 'sessions', 'school', 'review_every', 'review_minutes']);
    }

    public function answer(): array
    {
        return Schema::object([
            'sessions' => Schema::list('in order', Schema::object(['lessons' => Schema::texts('in teaching order'), 'minutes' => Schema::number('used'), 'foot_changes' => Schema::whole('changes of foot', 0, 1000), 'home' => Schema::texts('sewn at home after it')])),
            'count' => Schema::whole('sessions', 0, 10_000), 'lower_bound' => Schema::whole('fewer there cannot be', 0, 10_000), 'proven' => ['type' => 'boolean', 'description' => 'fewer sessions have been shown to be impossible'],
            'bound' => Schema::oneOf('what shows it', array_column(Bound::cases(), 'value')),
            'capacity_minutes' => Schema::number('of a session'),
            'strands_taken_up' => Schema::whole('how often a strand is taken up again after another', 0, 1000),
            'left' => Schema::texts('with "one-day": what the day has no room for'),
            'reasons' => Schema::list('why each does not stand earlier', Schema::object(['lesson' => Schema::text('an id'), 'kind' => Schema::oneOf('what forces it', array_column(Holds::cases(), 'value')), 'because' => ['type' => ['string', 'null'], 'description' => 'the lesson it needs']])),
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
        [$lessons, $wishes] = self::course($in);
        $one = ! $wishes->order->spreads();
        $minutes = self::minutes($in, count($lessons));
        $capacity = $in->number('capacity_minutes');
        $longest = max($one ? [$minutes[0] ?? $capacity] : [$capacity, ...$minutes]);
        self::check($lessons, $wishes, $longest);
        $tasks = CourseTasks::of($lessons, $longest, $wishes);
        $problem = SessionProblem::of($tasks->tasks, $capacity, $minutes);
        $deadline = Deadline::in(self::SECONDS);
        $plan = $in->has('sessions')
            ? SessionSolver::shortest($problem, $in->whole('sessions'), deadline: $deadline)
            : SessionSolver::fewest($problem, inOrder: $in->has('school'), go: fn (): bool => ! $deadline->passed());
        $laid = array_map(fn (array $s): array => $s['lessons'], $plan->sessions);
        $over = [];
        if ($one && count($laid) > 1) {
            $laid = SessionSolver::inTurn($problem) ?? $laid;
            $over = array_merge([], ...array_map($tasks->members(...), array_merge(...array_slice($laid, 1))));
            $laid = array_slice($laid, 0, 1);
        }
        [$sessions, $home] = $tasks->unpack($laid);
        $byId = array_column($lessons, null, 'id');
        $reasons = [];
        foreach ($plan->because as $id => $because) {
            foreach (array_diff($tasks->members((string) $id), $over) as $lesson) {
                $reasons[] = ['lesson' => $lesson, 'kind' => $because->kind->value, 'because' => $because->lesson === null ? null : $tasks->needed($lesson, $because->lesson)];
            }
        }

        return [
            'sessions' => array_map(fn (array $ids, array $home): array => [
                'lessons' => $ids, 'minutes' => array_sum(array_map(fn (string $id): float => $byId[$id]['minutes'], $ids)),
                'foot_changes' => FootOrder::changes(array_map(fn (string $id): ?string => $byId[$id]['foot'], $ids)), 'home' => $home,
            ], $sessions, array_slice($home, 0, count($sessions))),
            'count' => count($sessions), 'lower_bound' => $one || count($sessions) > count($plan->sessions) ? count($sessions) : $plan->lowerBound, 'proven' => $one || $plan->proven, 'bound' => $plan->bound->value, 'capacity_minutes' => $plan->capacity,
            'strands_taken_up' => $plan->takenUp, 'left' => $over, 'reasons' => $reasons,
        ];
    }

    /** @return array{list<array{id: string, minutes: float, needs: list<string>, foot: string|null, strand: string|null}>, PlanWishes} */
    private static function course(Data $in): array
    {
        $pins = self::pins($in);
        $lessons = $from = $to = $home = [];
        foreach ($in->parts('lessons') as $i => $l) {
            $id = $l->text('id');
            $lessons[] = ['id' => $id, 'minutes' => $l->number('minutes'), 'needs' => $l->texts('needs'), 'foot' => $l->has('foot') ? $l->text('foot') : null, 'strand' => $l->has('strand') ? $l->text('strand') : null];
            $l->has('not_before') && $from[$id] = $l->whole('not_before') - 1;
            $l->has('not_after') && $to[$id] = $l->whole('not_after') - 1;
            $l->flag('home') && $home[] = $id;
            $least = max($from[$id] ?? 0, $pins[$id] ?? 0);
            min($to[$id] ?? PHP_INT_MAX, $pins[$id] ?? PHP_INT_MAX) >= $least || throw InputError::at(isset($to[$id]) && $to[$id] < $least ? "lessons[$i].not_after" : "lessons[$i].not_before", ($to[$id] ?? $from[$id] ?? 0) + 1, sprintf('“%s” would have to stand before session %d and not before it. Free one of its bounds.', $id, $least + 1));
        }
        foreach (array_diff_key($pins, array_flip(array_column($lessons, 'id'))) as $lesson => $session) {
            throw InputError::at('pins', $lesson, 'Only a lesson of the plan can be pinned.');
        }
        $together = array_map(fn (mixed $g): array => array_values(array_filter((array) $g, is_string(...))), $in->items('together'));
        $wishes = new PlanWishes($pins, $from, $to, $together, $home, $in->has('school') ? TeachingOrder::from($in->text('school')) : TeachingOrder::Course);

        return [$lessons, $wishes];
    }

    /**
     * Each lesson for itself: known needs, no circle, not longer than a session.
     *
     * @param  list<array{id: string, minutes: float, needs: list<string>, foot: string|null, strand: string|null}>  $lessons
     */
    private static function check(array $lessons, PlanWishes $wishes, float $longest): void
    {
        SessionProblem::of(array_map(fn (array $l): PlanTask => new PlanTask($l['id'], in_array($l['id'], $wishes->home, true) ? min($l['minutes'], $longest) : $l['minutes'], $l['needs']), $lessons), $longest);
        $ids = array_column($lessons, 'id');
        foreach ($wishes->together as $g => $group) {
            foreach ($group as $i => $id) {
                in_array($id, $ids, true) || throw InputError::at("together[$g][$i]", $id, 'This must be the id of a lesson of the plan.');
                in_array($id, $wishes->home, true) && throw InputError::at("together[$g][$i]", $id, 'A lesson that is sewn at home is not taught together with others.');
            }
        }
    }

    /** @return list<float> of the first sessions, where they differ */
    private static function minutes(Data $in, int $lessons): array
    {
        $minutes = $in->numbers('session_minutes');
        if (! $in->has('review_every')) {
            return $minutes;
        }
        $frame = new SessionFrame(0.0, 0.0, $in->whole('review_every'), $in->number('review_minutes', 20.0));

        return array_map(fn (int $k): float => $frame->usable($k, $minutes[$k] ?? $in->number('capacity_minutes')), range(0, max(count($minutes), 2 * $lessons + $frame->reviewEvery)));
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
                $id = is_string($lesson) ? $lesson : (is_int($lesson) ? (string) $lesson : '');
                isset($pins[$id]) && throw InputError::at('pins', $id, 'This lesson is pinned twice; once is enough.');
                $pins[$id] = (int) $session - 1;
            }
        }

        return $pins;
    }
}
