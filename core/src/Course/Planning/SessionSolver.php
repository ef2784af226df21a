<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;

/**
 * The fewest sessions (simple assembly line balancing, type 1), exactly: lower
 * bounds, a first plan, then for every smaller number a search that either finds
 * a plan or shows that there is none. With that many sessions the longest is made
 * as short as can be, in each the foot is changed as seldom as can be, and then
 * strands are kept together. The search is limited by steps, not by the clock: the same input gives the same plan.
 */
final class SessionSolver
{
    /** Steps of all searches together: about two seconds on a slow machine. */
    public const BUDGET = 600_000;

    /** Of the longest session, to keep the teacher's order. */
    private const HARDLY_LONGER = 1.15;

    /** Bounds of which every set is tried for the smallest that clashes. */
    private const FEW_BOUNDS = 8;

    /** Loads a session is chosen from for a first plan. */
    private const FIRST_LOADS = 60;

    /**
     * @param  bool  $inOrder  keep the teacher's order where that costs no session and the longest is hardly longer
     * @param  (Closure(int, int): bool)|null  $go  asked now and then with the steps taken and the sessions known to do; false: enough, with what has been found
     *
     * @throws InputError when bounds on sessions cannot all hold, naming the fewest that clash
     */
    public static function fewest(SessionProblem $problem, int $budget = self::BUDGET, bool $inOrder = false, ?Closure $go = null): SessionPlan
    {
        if ($problem->tasks === []) {
            return new SessionPlan([], 0, true, 'minutes', [], $problem->capacity, 0);
        }
        [$low, $bound] = self::lowerBound($problem);
        $laid = self::first($problem, self::asking($go, 0, 0));
        $known = true;
        $spent = 0;
        for ($m = $low; $m < count($laid); $m++) {
            // The first number gets most of what there is: there the proof is.
            $search = new Search($problem, max(2_000, intdiv(3 * ($budget - $spent), 4)), self::asking($go, $spent, count($laid)));
            $found = $search->within(self::room($problem, $m));
            $spent += $search->steps();
            if (is_array($found)) {
                $laid = $found;
                break;
            }
            // What was not decided ends the proof, but a few sessions more may still be found.
            $known = $known && $found === false;
            if ($known) {
                [$low, $bound] = [$m + 1, 'search'];
            }
        }
        $laid = self::trim(self::even($problem, self::trim($laid), max(2_000, intdiv($budget - $spent, 4)), self::asking($go, $spent, count($laid))));

        $more = self::asking($go, $spent, count($laid));
        $laid = $inOrder ? self::ordered($problem, $laid, $more) : StrandKeeper::gather($problem, $laid, self::filled($problem, $laid, 1.0), go: $more);

        return self::plan($problem, $laid, min($low, count($laid)), $low >= count($laid), $bound, $problem->capacity, $more);
    }

    /**
     * So many sessions of equal length, as short as can be (type 2), to the minute.
     *
     * @param  int  $sessions  1 or more
     *
     * @throws InputError when bounds on sessions cannot all hold
     */
    public static function shortest(SessionProblem $problem, int $sessions, int $budget = self::BUDGET, ?Deadline $deadline = null): SessionPlan
    {
        $go = $deadline === null ? null : fn (int $steps): bool => ! $deadline->passed();
        $low = max(0.0, ceil(max([0.0, ...$problem->minutes, $problem->total() / max(1, $sessions)]) - SessionProblem::EPS));
        $high = ceil($problem->total());
        $proven = true;
        $best = (new Search($problem, $budget, $go))->within(array_fill(0, $sessions, $high));
        is_array($best) || throw self::clash($problem, $go);
        while ($low < $high) {
            $middle = floor(($low + $high) / 2);
            if ($deadline?->passed() === true) {
                $proven = false;
                break;
            }
            $found = (new Search($problem, intdiv($budget, 4), $go))->within(array_fill(0, $sessions, $middle));
            $proven = $proven && $found !== null;
            if (is_array($found)) {
                [$best, $high] = [$found, $middle];
            } else {
                $low = $middle + 1;
            }
        }

        return self::plan($problem, $best, $sessions, $proven, 'search', $high, $go);
    }

    /**
     * Each lesson in turn into the first session that has room and is not before what it needs.
     *
     * @return list<list<string>>|null null when a bound on sessions is in the way
     */
    public static function inTurn(SessionProblem $problem): ?array
    {
        $laid = self::greedy($problem);

        return $laid === null ? null : array_map(fn (array $load): array => array_map(fn (int $j): string => $problem->tasks[$j]->id, $load), $laid);
    }

    /**
     * Fewer sessions there can never be.
     *
     * @return array{int, string} and what says so
     */
    public static function lowerBound(SessionProblem $problem): array
    {
        $sum = 0.0;
        for ($m = 0; $sum + SessionProblem::EPS < $problem->total(); $m++) {
            $sum += $problem->sessionAt($m);
        }
        $bounds = ['minutes' => max(1, $m)];
        // No session is longer than the longest: what is needed of such is needed of shorter ones too.
        $longest = max($problem->capacity, $problem->longest(count($problem->sessionMinutes)));
        $half = $longest / 2;
        $large = count(array_filter($problem->minutes, fn (float $t): bool => $t > $half + SessionProblem::EPS));
        $exact = count(array_filter($problem->minutes, fn (float $t): bool => abs($t - $half) <= SessionProblem::EPS));
        $bounds['large'] = $large + (int) ceil($exact / 2);
        $third = $longest / 3;
        $sum = 0.0;
        foreach ($problem->minutes as $t) {
            $sum += match (true) {
                $t > 2 * $third + SessionProblem::EPS => 1.0,
                abs($t - 2 * $third) <= SessionProblem::EPS => 2 / 3,
                $t > $third + SessionProblem::EPS => 0.5,
                abs($t - $third) <= SessionProblem::EPS => 1 / 3,
                default => 0.0,
            };
        }
        $bounds['thirds'] = (int) ceil($sum - SessionProblem::EPS);
        $bounds['chain'] = StationBounds::least($problem, $longest);
        foreach ($problem->tasks as $task) {
            $bounds['bounds'] = max($bounds['bounds'] ?? 0, $task->notBefore + 1);
        }
        $most = max($bounds);

        return [$most, (string) array_search($most, $bounds, true)];
    }

    /**
     * The shorter of two plans that are soon found.
     *
     * @param  (Closure(int): bool)|null  $go
     * @return list<list<int>>
     *
     * @throws InputError when bounds on sessions cannot all hold
     */
    private static function first(SessionProblem $problem, ?Closure $go): array
    {
        $greedy = self::greedy($problem);
        $full = (new Search($problem, self::BUDGET))->fullest(self::room($problem, self::most($problem)), self::FIRST_LOADS);
        $full = $full === null ? null : self::trim($full);

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
    private static function greedy(SessionProblem $problem): ?array
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
            while (($room[$k] ??= $problem->sessionAt($k)) + SessionProblem::EPS < $task->minutes) {
                $k++;
                if ($k > self::most($problem)) {
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
     * Where the teacher's order meets a bound: any plan at all.
     *
     * @param  (Closure(int): bool)|null  $go
     * @return list<list<int>>
     *
     * @throws InputError when there is none
     */
    private static function anyhow(SessionProblem $problem, ?Closure $go): array
    {
        $found = (new Search($problem, self::BUDGET, $go))->within(self::room($problem, self::most($problem)));

        return is_array($found) ? self::trim($found) : throw self::clash($problem, $go);
    }

    /**
     * @param  (Closure(int, int): bool)|null  $go
     * @return (Closure(int): bool)|null
     */
    private static function asking(?Closure $go, int $spent, int $sessions): ?Closure
    {
        return $go === null ? null : fn (int $steps): bool => $go($spent + $steps, $sessions);
    }

    /** No plan needs more sessions: one for each lesson, after all that differ and all that are named. */
    private static function most(SessionProblem $problem): int
    {
        return count($problem->tasks) + count($problem->sessionMinutes) + max([0, ...array_map(fn (PlanTask $t): int => max($t->notBefore, $t->notAfter ?? 0), $problem->tasks)]) + 1;
    }

    /**
     * With as many sessions, the longest made as short as can be; of sessions that differ, the fullest share.
     *
     * @param  list<list<int>>  $laid
     * @param  (Closure(int): bool)|null  $go
     * @return list<list<int>>
     */
    private static function even(SessionProblem $problem, array $laid, int $budget, ?Closure $go): array
    {
        $room = self::room($problem, count($laid));
        $full = self::fullest($problem, $laid);
        // To the minute of the longest session: nobody plans closer.
        $step = 1 / max([1.0, ...$room]);
        $low = $problem->total() / max(SessionProblem::EPS, array_sum($room));
        $spent = 0;
        while ($full - $low > $step && $spent < $budget) {
            $middle = ($low + $full) / 2;
            $search = new Search($problem, $budget - $spent, $go);
            $found = $search->within(array_map(fn (float $m): float => $m * $middle, $room));
            $spent += $search->steps();
            if (! is_array($found)) {
                $low = $middle;

                continue;
            }
            $laid = $found;
            $full = self::fullest($problem, $laid);
        }

        return $laid;
    }

    /**
     * With as many sessions, the teacher's order where that fits, else as near to it as is found; the longest hardly longer.
     *
     * @param  list<list<int>>  $laid
     * @param  (Closure(int): bool)|null  $go
     * @return list<list<int>>
     */
    private static function ordered(SessionProblem $problem, array $laid, ?Closure $go): array
    {
        $kept = self::inOrder($problem, count($laid));

        return $kept !== null && self::fullest($problem, $kept) <= self::fullest($problem, $laid) * self::HARDLY_LONGER
            ? $kept : StrandKeeper::gather($problem, $laid, self::filled($problem, $laid, self::HARDLY_LONGER), true, $go);
    }

    /**
     * Minutes each session may take: as full as the fullest, and a little fuller, but not more than it has.
     *
     * @param  list<list<int>>  $laid
     * @return list<float>
     */
    private static function filled(SessionProblem $problem, array $laid, float $more): array
    {
        $full = min(1.0, self::fullest($problem, $laid) * $more);

        return array_map(fn (float $m): float => $m * $full, self::room($problem, count($laid)));
    }

    /**
     * The teacher's order cut into so many sessions, the fullest as little full as can be; null where it does not fit.
     *
     * @return list<list<int>>|null
     */
    private static function inOrder(SessionProblem $problem, int $sessions): ?array
    {
        $n = count($problem->tasks);
        $room = self::room($problem, $sessions);
        // Least fullness of the first lessons in the first sessions, and where the last of these begins.
        /** @var array<int, array<int, array{float, int}>> $best */
        $best = [0 => [0 => [0.0, 0]]];
        foreach ($room as $k => $minutes) {
            for ($to = 0; $to <= $n; $to++) {
                $sum = 0.0;
                $sooner = [0, 0];
                for ($from = $to; $from >= 0 && $sum <= $minutes + SessionProblem::EPS; $from--) {
                    if ($from < $to) {
                        $task = $problem->tasks[$from];
                        if ($task->notBefore > $k || ($task->notAfter ?? $k) < $k || SessionProblem::has($sooner, $from)) {
                            break;
                        }
                        $sooner = SessionProblem::union($sooner, $problem->sooner[$from]);
                    }
                    if (isset($best[$k][$from])) {
                        $full = max($best[$k][$from][0], $minutes > 0 ? $sum / $minutes : 0.0);
                        if (! isset($best[$k + 1][$to]) || $full < $best[$k + 1][$to][0] - SessionProblem::EPS) {
                            $best[$k + 1][$to] = [$full, $from];
                        }
                    }
                    $sum += $problem->minutes[$from - 1] ?? 0.0;
                }
            }
        }
        if (! isset($best[$sessions][$n])) {
            return null;
        }
        $laid = [];
        for ($k = $sessions, $to = $n; $k > 0; $k--) {
            $from = $best[$k][$to][1];
            array_unshift($laid, $to > $from ? range($from, $to - 1) : []);
            $to = $from;
        }

        return $laid;
    }

    /**
     * The largest share of its minutes that a session uses.
     *
     * @param  list<list<int>>  $laid
     */
    private static function fullest(SessionProblem $problem, array $laid): float
    {
        $full = 0.0;
        foreach ($laid as $k => $load) {
            $room = $problem->sessionAt($k);
            $full = max($full, $room > 0 ? self::minutes($problem, $load) / $room : 0.0);
        }

        return $full;
    }

    /** @return list<float> */
    private static function room(SessionProblem $problem, int $sessions): array
    {
        return array_map(fn (int $k): float => $problem->sessionAt($k), range(0, max(0, $sessions - 1)));
    }

    /** @param  list<int>  $load */
    private static function minutes(SessionProblem $problem, array $load): float
    {
        return array_sum(array_map(fn (int $j): float => $problem->minutes[$j], $load));
    }

    /**
     * Without empty sessions at the end.
     *
     * @param  list<list<int>>  $laid
     * @return list<list<int>>
     */
    private static function trim(array $laid): array
    {
        while ($laid !== [] && $laid[count($laid) - 1] === []) {
            array_pop($laid);
        }

        return $laid;
    }

    /**
     * @param  list<list<int>>  $laid
     * @param  (Closure(int): bool)|null  $go
     */
    private static function plan(SessionProblem $problem, array $laid, int $low, bool $proven, string $bound, float $capacity, ?Closure $go): SessionPlan
    {
        $in = [];
        foreach ($laid as $k => $load) {
            foreach ($load as $j) {
                $in[$j] = $k;
            }
        }
        $because = [];
        $sessions = [];
        $used = array_map(fn (array $load): float => self::minutes($problem, $load), $laid);
        $orders = StrandKeeper::ordered($problem, $laid, $go);
        foreach ($laid as $k => $load) {
            [$order, $changes] = $orders[$k];
            $sessions[] = ['lessons' => array_map(fn (int $j): string => $problem->tasks[$j]->id, $order), 'minutes' => self::minutes($problem, $load), 'changes' => $changes];
            foreach ($load as $j) {
                $because[$problem->tasks[$j]->id] = self::because($problem, $in, $j, $k, $used);
            }
        }

        return new SessionPlan($sessions, $low, $proven, $bound, $because, $capacity, StrandKeeper::takenUp($problem, array_column($orders, 0)));
    }

    /**
     * @param  array<int, int>  $in
     * @param  list<float>  $used  minutes laid in each session
     * @return array{kind: string, lesson: string|null} "first", "pin", "not-before", "needs" or "home" (with the lesson: something is sewn at home after it), "minutes" where the session before has no room, "even" where it has
     */
    private static function because(SessionProblem $problem, array $in, int $j, int $k, array $used): array
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

    /**
     * The smallest set of bounds on sessions that cannot hold together; a set that is small, where there is no time.
     *
     * @param  (Closure(int): bool)|null  $go
     */
    private static function clash(SessionProblem $problem, ?Closure $go): InputError
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

        return (new Search($freed, intdiv(self::BUDGET, 8)))->within(self::room($freed, self::most($freed))) === false;
    }
}
