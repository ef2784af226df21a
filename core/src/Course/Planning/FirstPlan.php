<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/** Plans that are soon found, from which the search for fewer sessions begins. */
final class FirstPlan
{
    /** Loads a session is chosen from. */
    private const LOADS = 60;

    /**
     * The shorter of two plans that are soon found.
     *
     * @param  (Closure(int): bool)|null  $go
     * @return list<list<int>>
     *
     * @throws InputError when bounds on sessions cannot all hold
     */
    public static function of(SessionProblem $problem, ?Closure $go): array
    {
        $greedy = self::inTurn($problem);
        $full = (new Search($problem, SessionSolver::BUDGET))->fullest($problem->room($problem->most()), self::LOADS);
        $full = $full === null ? null : self::trimmed($full);

        return match (true) {
            $greedy === null => $full ?? self::anyhow($problem, $go),
            $full === null => $greedy,
            default => count($full) < count($greedy) ? $full : $greedy,
        };
    }

    /**
     * A first plan: the teacher's order, each lesson in the first session that has room and is not before what it needs.
     *
     * @return list<list<int>>|null null when a bound on sessions is in the way
     */
    public static function inTurn(SessionProblem $problem): ?array
    {
        /** @var array<int, list<int>> $laid */
        $laid = [];
        /** @var array<int, float> $room */
        $room = [];
        /** @var array<int, int> $in */
        $in = [];
        $last = 0;
        foreach ($problem->tasks as $j => $task) {
            $k = max([$task->notBefore, ...array_map(fn (int $need): int => $in[$need] + (SessionProblem::has($problem->sooner[$j], $need) ? 1 : 0), $problem->needs[$j])]);
            while (($room[$k] ??= $problem->sessionAt($k)) + Near::DUST < $task->minutes) {
                $k++;
                if ($k > $problem->most()) {
                    return null;
                }
            }
            if ($task->notAfter !== null && $k > $task->notAfter) {
                return null;
            }
            $in[$j] = $k;
            $room[$k] -= $task->minutes;
            $laid[$k][] = $j;
            $last = max($last, $k);
        }
        $all = [];
        for ($k = 0; $k <= $last; $k++) {
            $all[] = $laid[$k] ?? [];
        }

        return $all;
    }

    /**
     * Without empty sessions at the end.
     *
     * @param  list<list<int>>  $laid
     * @return list<list<int>>
     */
    public static function trimmed(array $laid): array
    {
        while ($laid !== [] && $laid[count($laid) - 1] === []) {
            array_pop($laid);
        }

        return $laid;
    }

    /**
     * Where the teacher's order meets a bound: any plan at all.
     *
     * @param  (Closure(int): bool)|null  $go
     * @return list<list<int>>
     *
     * @throws InputError when there is none
     */
    private static function anyhow(SessionProblem $problem, ?Closure $go): array
    {
        $found = (new Search($problem, SessionSolver::BUDGET, $go))->within($problem->room($problem->most()));

        return $found->outcome === Outcome::Found ? self::trimmed($found->sessions) : throw BoundsClash::of($problem, $go);
    }
}
