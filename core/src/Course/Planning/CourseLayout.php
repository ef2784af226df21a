<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;
use OpenSeam\Core\InputError;

/**
 * A course laid into the sessions a class has: as few of them as can be, evenly,
 * in the teacher's order where that costs nothing; and what finds no room.
 *
 * @phpstan-import-type CourseLesson from CourseTasks
 */
final readonly class CourseLayout
{
    /** Steps for the question how short the sessions could be. */
    private const SHORTEST_STEPS = 60_000;

    /**
     * @param  list<list<string>>  $sessions  lesson ids; as many as the class has
     * @param  list<list<string>>  $home  lessons sewn at home after each session
     * @param  list<string>  $left  lessons for which no session has room
     * @param  array<string, PlaceReason>  $because  by lesson: why it does not stand earlier
     * @param  float|null  $shortest  usable minutes that would do, were all the sessions equal; null where that was not looked for or not settled
     */
    private function __construct(public array $sessions, public array $home, public array $left, public SessionPlan $plan, public array $because, public ?float $shortest) {}

    /**
     * @param  list<CourseLesson>  $lessons  in course order
     * @param  list<float>  $sessions  usable minutes of each
     * @param  (Closure(int, int): bool)|null  $go  asked now and then with the steps taken and the sessions known to do; false: enough
     *
     * @throws InputError when wishes cannot all hold, naming the fewest that clash
     */
    public static function of(array $lessons, array $sessions, PlanWishes $wishes = new PlanWishes, ?Closure $go = null): self
    {
        $longest = max([0.0, ...($wishes->order->spreads() ? $sessions : array_slice($sessions, 0, 1))]);
        $tasks = CourseTasks::of($lessons, $longest, $wishes);
        $problem = SessionProblem::of($tasks->tasks, max($longest, 1.0), $sessions);
        $plan = SessionSolver::fewest($problem, inOrder: true, go: $go);
        $laid = array_map(fn (array $s): array => $s['lessons'], $plan->sessions);
        $has = $wishes->order->spreads() ? count($sessions) : min(1, count($sessions));
        if (count($laid) > $has) {
            // It does not all fit: what does is packed, so that nothing is left that would have found room.
            $laid = SessionSolver::inTurn($problem) ?? $laid;
        }
        $over = array_merge([], ...array_map(fn (string $t): array => $tasks->members($t), array_merge([], ...array_slice($laid, $has))));
        [$in, $home] = $tasks->unpack(array_slice(array_pad(array_slice($laid, 0, $has), count($sessions), []), 0, count($sessions)));
        $needs = array_column($lessons, 'needs', 'id');
        // What stands on a lesson without room goes with it, also when it is sewn at home.
        $out = [...$tasks->left, ...$over];
        $fits = fn (string $id): bool => array_intersect($needs[$id], $out) === [];
        $homeless = array_values(array_filter(array_merge([], ...$home), fn (string $id): bool => ! $fits($id)));
        $because = [];
        foreach ($plan->because as $task => $why) {
            foreach ($tasks->members((string) $task) as $lesson) {
                // A lesson, not the group it stands in.
                $because[$lesson] ??= new PlaceReason($why->kind, $why->lesson === null ? null : $tasks->needed($lesson, $why->lesson));
            }
        }

        return new self(
            $in, array_map(fn (array $ids): array => array_values(array_filter($ids, $fits)), $home),
            array_values(array_intersect(array_map(fn (array $l): string => $l['id'], $lessons), [...$out, ...$homeless])), $plan, $because, $out === [] && $homeless === [] ? self::shortest($problem, count($sessions)) : null,
        );
    }

    /** As many sessions as the class has, of equal length and as short as can be (type 2). */
    private static function shortest(SessionProblem $problem, int $sessions): ?float
    {
        if ($problem->tasks === [] || $sessions < 1) {
            return null;
        }
        try {
            $plan = SessionSolver::shortest($problem, $sessions, self::SHORTEST_STEPS);
        } catch (InputError) {
            // Not found in so few steps.
            return null;
        }

        return $plan->proven ? $plan->capacity : null;
    }
}
