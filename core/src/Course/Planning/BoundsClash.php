<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;
use OpenSeam\Core\InputError;

/** Why no plan holds all bounds on sessions: the smallest set of them that cannot hold together. */
final class BoundsClash
{
    /** Bounds of which every set is tried for the smallest that clashes. */
    private const FEW_BOUNDS = 8;

    /**
     * The smallest set of bounds on sessions that cannot hold together; a set that is small, where there is no time.
     *
     * @param  (Closure(int): bool)|null  $go
     */
    public static function of(SessionProblem $problem, ?Closure $go): InputError
    {
        $bound = array_values(array_filter($problem->tasks, fn (PlanTask $t): bool => ! $t->isFree()));
        $clash = self::smallest($problem, array_map(fn (PlanTask $t): string => $t->id, $bound), $go);
        $named = array_values(array_filter($bound, fn (PlanTask $t): bool => in_array($t->id, $clash, true)));
        $said = implode(', ', array_map(fn (PlanTask $t): string => "“{$t->id}” ".match (true) {
            $t->notAfter === $t->notBefore => 'in session '.($t->notBefore + 1),
            $t->notAfter === null => 'not before session '.($t->notBefore + 1),
            $t->notBefore === 0 => 'not after session '.($t->notAfter + 1),
            default => 'in sessions '.($t->notBefore + 1).' to '.($t->notAfter + 1),
        }, $named));

        return InputError::at('pins', $clash, "These cannot hold together, with what they need and the minutes there are: $said. Free one of them.");
    }

    /**
     * First each bound is left out in turn and stays out if the rest still
     * clashes; then every smaller set is tried, where they are few.
     *
     * @param  list<string>  $bound
     * @param  (Closure(int): bool)|null  $go
     * @return list<string>
     */
    private static function smallest(SessionProblem $problem, array $bound, ?Closure $go): array
    {
        $clash = $bound;
        foreach ($bound as $id) {
            if ($go !== null && ! $go(0)) {
                return $clash;
            }
            $without = array_values(array_diff($clash, [$id]));
            $clash = self::clashes($problem, array_values(array_diff($bound, $without))) ? $without : $clash;
        }
        for ($size = 1; $size < count($clash) && count($bound) <= self::FEW_BOUNDS; $size++) {
            foreach (range(0, (1 << count($bound)) - 1) as $set) {
                if ($go !== null && ! $go(0)) {
                    return $clash;
                }
                $kept = array_values(array_filter($bound, fn (int $i): bool => (($set >> $i) & 1) === 1, ARRAY_FILTER_USE_KEY));
                if (count($kept) === $size && self::clashes($problem, array_values(array_diff($bound, $kept)))) {
                    return $kept;
                }
            }
        }

        return $clash;
    }

    /** @param  list<string>  $without  lessons whose bounds are left out */
    private static function clashes(SessionProblem $problem, array $without): bool
    {
        $freed = $problem->withoutBounds($without);

        return (new Search($freed, intdiv(SessionSolver::BUDGET, 8)))->within($freed->room($freed->most()))->outcome === Outcome::Impossible;
    }
}
