<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** Why a lesson stands in its session and not sooner. */
final class PlaceReason
{
    /**
     * @param  array<int, int>  $in
     * @param  list<float>  $used  minutes laid in each session
     * @return array{kind: string, lesson: string|null} "first", "pin", "not-before", "needs" or "home" (with the lesson: something is sewn at home after it), "minutes" where the session before has no room, "even" where it has
     */
    public static function of(SessionProblem $problem, array $in, int $j, int $k, array $used): array
    {
        $task = $problem->tasks[$j];
        if ($task->notAfter !== null && $task->notAfter === $task->notBefore) {
            return ['kind' => 'pin', 'lesson' => null];
        }
        if ($k === 0) {
            return ['kind' => 'first', 'lesson' => null];
        }
        foreach ($problem->needs[$j] as $need) {
            if ($in[$need] === $k) {
                return ['kind' => 'needs', 'lesson' => $problem->tasks[$need]->id];
            }
            if ($in[$need] === $k - 1 && SessionProblem::has($problem->sooner[$j], $need)) {
                return ['kind' => 'home', 'lesson' => $problem->tasks[$need]->id];
            }
        }

        $kind = $problem->sessionAt($k - 1) + SessionProblem::EPS >= ($used[$k - 1] ?? 0.0) + $task->minutes ? 'even' : 'minutes';

        return ['kind' => $task->notBefore === $k ? 'not-before' : $kind, 'lesson' => null];
    }
}
