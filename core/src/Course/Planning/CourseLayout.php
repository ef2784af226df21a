<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\InputError;

/**
 * A course laid into the sessions a class has: as few of them as can be, evenly,
 * in the teacher's order where that costs nothing; and what finds no room.
 *
 * @phpstan-type CourseLesson array{id: string, minutes: float, needs: list<string>, foot?: string|null}
 */
final readonly class CourseLayout
{
    /**
     * @param  list<list<string>>  $sessions  lesson ids; as many as the class has
     * @param  list<string>  $left  lessons for which no session has room
     */
    private function __construct(public array $sessions, public array $left, public SessionPlan $plan) {}

    /**
     * @param  list<CourseLesson>  $lessons  in course order
     * @param  list<float>  $sessions  usable minutes of each
     * @param  array<array-key, int>  $pins  session from 0, by lesson
     *
     * @throws InputError when pins cannot all hold, naming the fewest that clash
     */
    public static function of(array $lessons, array $sessions, array $pins = []): self
    {
        $longest = max([0.0, ...$sessions]);
        $left = [];
        $tasks = [];
        foreach ($lessons as $lesson) {
            // Too long for any session, or on top of one that is: said as left over, and the rest is laid.
            if ($lesson['minutes'] > $longest + SessionProblem::EPS || array_intersect($lesson['needs'], $left) !== []) {
                $left[] = $lesson['id'];

                continue;
            }
            $pin = $pins[$lesson['id']] ?? null;
            $tasks[] = new PlanTask($lesson['id'], $lesson['minutes'], $lesson['needs'], $lesson['foot'] ?? null, $pin ?? 0, $pin);
        }
        $problem = SessionProblem::of($tasks, max($longest, 1.0), $sessions);
        $plan = SessionSolver::fewest($problem, inOrder: true);
        $laid = array_map(fn (array $s): array => $s['lessons'], $plan->sessions);
        if (count($laid) > count($sessions)) {
            // It does not all fit: what does is packed, so that nothing is left that would have found room.
            $laid = SessionSolver::inTurn($problem) ?? $laid;
        }
        $over = array_merge([], ...array_slice($laid, count($sessions)));
        $order = array_map(fn (array $l): string => $l['id'], $lessons);

        return new self(
            array_slice(array_pad($laid, count($sessions), []), 0, count($sessions)),
            array_values(array_intersect($order, [...$left, ...$over])), $plan,
        );
    }
}
