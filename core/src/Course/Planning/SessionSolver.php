<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

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

    /**
     * @param  bool  $inOrder  keep the teacher's order where that costs no session and the longest is hardly longer
     * @param  (Closure(int, int): bool)|null  $go  asked now and then with the steps taken and the sessions known to do; false: enough, with what has been found
     *
     * @throws InputError when bounds on sessions cannot all hold, naming the fewest that clash
     */
    public static function fewest(SessionProblem $problem, int $budget = self::BUDGET, bool $inOrder = false, ?Closure $go = null): SessionPlan
    {
        if ($problem->tasks === []) {
            return new SessionPlan([], 0, true, Bound::Minutes, [], $problem->capacity, 0);
        }
        [$low, $bound] = LowerBound::of($problem);
        $laid = FirstPlan::of($problem, self::asking($go, 0, 0));
        $known = true;
        $spent = 0;
        for ($m = $low; $m < count($laid); $m++) {
            // The first number gets most of what there is: there the proof is.
            $search = new Search($problem, max(2_000, intdiv(3 * ($budget - $spent), 4)), self::asking($go, $spent, count($laid)));
            $found = $search->within($problem->room($m));
            $spent += $search->steps();
            if ($found->outcome === Outcome::Found) {
                $laid = $found->sessions;
                break;
            }
            // What was not decided ends the proof, but a few sessions more may still be found.
            $known = $known && $found->outcome === Outcome::Impossible;
            if ($known) {
                [$low, $bound] = [$m + 1, Bound::Search];
            }
        }
        $laid = FirstPlan::trimmed(self::even($problem, FirstPlan::trimmed($laid), max(2_000, intdiv($budget - $spent, 4)), self::asking($go, $spent, count($laid))));

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
        $low = max(0.0, ceil(max([0.0, ...$problem->minutes, $problem->total() / max(1, $sessions)]) - Near::DUST));
        $high = ceil($problem->total());
        $proven = true;
        $best = (new Search($problem, $budget, $go))->within(array_fill(0, $sessions, $high));
        $best->outcome === Outcome::Found || throw BoundsClash::of($problem, $go);
        while ($low < $high) {
            $middle = floor(($low + $high) / 2);
            if ($deadline?->passed() === true) {
                $proven = false;
                break;
            }
            $found = (new Search($problem, intdiv($budget, 4), $go))->within(array_fill(0, $sessions, $middle));
            $proven = $proven && $found->outcome !== Outcome::Undecided;
            if ($found->outcome === Outcome::Found) {
                [$best, $high] = [$found, $middle];
            } else {
                $low = $middle + 1;
            }
        }

        return self::plan($problem, $best->sessions, $sessions, $proven, Bound::Search, $high, $go);
    }

    /**
     * Each lesson in turn into the first session that has room and is not before what it needs.
     *
     * @return list<list<string>>|null null when a bound on sessions is in the way
     */
    public static function inTurn(SessionProblem $problem): ?array
    {
        $laid = FirstPlan::inTurn($problem);

        return $laid === null ? null : array_map(fn (array $load): array => array_map(fn (int $j): string => $problem->tasks[$j]->id, $load), $laid);
    }

    /**
     * @param  (Closure(int, int): bool)|null  $go
     * @return (Closure(int): bool)|null
     */
    private static function asking(?Closure $go, int $spent, int $sessions): ?Closure
    {
        return $go === null ? null : fn (int $steps): bool => $go($spent + $steps, $sessions);
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
        $room = $problem->room(count($laid));
        $full = $problem->fullest($laid);
        // To the minute of the longest session: nobody plans closer.
        $step = 1 / max([1.0, ...$room]);
        $low = $problem->total() / max(Near::DUST, array_sum($room));
        $spent = 0;
        while ($full - $low > $step && $spent < $budget) {
            $middle = ($low + $full) / 2;
            $search = new Search($problem, $budget - $spent, $go);
            $found = $search->within(array_map(fn (float $m): float => $m * $middle, $room));
            $spent += $search->steps();
            if ($found->outcome !== Outcome::Found) {
                $low = $middle;

                continue;
            }
            $laid = $found->sessions;
            $full = $problem->fullest($laid);
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
        $kept = CutInOrder::into($problem, count($laid));

        return $kept !== null && $problem->fullest($kept) <= $problem->fullest($laid) * self::HARDLY_LONGER
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
        $full = min(1.0, $problem->fullest($laid) * $more);

        return array_map(fn (float $m): float => $m * $full, $problem->room(count($laid)));
    }

    /**
     * @param  list<list<int>>  $laid
     * @param  (Closure(int): bool)|null  $go
     */
    private static function plan(SessionProblem $problem, array $laid, int $low, bool $proven, Bound $bound, float $capacity, ?Closure $go): SessionPlan
    {
        $in = [];
        foreach ($laid as $k => $load) {
            foreach ($load as $j) {
                $in[$j] = $k;
            }
        }
        $because = [];
        $sessions = [];
        $used = array_map(fn (array $load): float => $problem->minutesOf($load), $laid);
        $orders = StrandKeeper::ordered($problem, $laid, $go);
        foreach ($laid as $k => $load) {
            [$order, $changes] = $orders[$k];
            $sessions[] = ['lessons' => array_map(fn (int $j): string => $problem->tasks[$j]->id, $order), 'minutes' => $problem->minutesOf($load), 'changes' => $changes];
            foreach ($load as $j) {
                $because[$problem->tasks[$j]->id] = PlaceReason::of($problem, $in, $j, $k, $used);
            }
        }

        return new SessionPlan($sessions, $low, $proven, $bound, $because, $capacity, StrandKeeper::takenUp($problem, array_column($orders, 0)));
    }
}
