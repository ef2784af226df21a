<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course\Planning;

use OpenSeam\Core\Course\Planning\Holds;
use OpenSeam\Core\Course\Planning\LowerBound;
use OpenSeam\Core\Course\Planning\PlaceReason;
use OpenSeam\Core\Course\Planning\PlanTask;
use OpenSeam\Core\Course\Planning\SessionPlan;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Tests\Support\RandomLessons;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SessionSolverTest extends TestCase
{
    /** @return list<PlanTask> the 11-task example of J. R. Jackson, Management Science 2 (1956) */
    private static function jackson(): array
    {
        $needs = [];
        foreach ([[1, 2], [1, 3], [1, 4], [1, 5], [2, 6], [3, 7], [4, 7], [5, 7], [6, 8], [7, 9], [8, 10], [9, 11], [10, 11]] as [$a, $b]) {
            $needs[$b][] = "t$a";
        }

        return array_map(fn (int $t, int $i): PlanTask => new PlanTask('t'.($i + 1), $t, $needs[$i + 1] ?? []), [6, 2, 5, 7, 1, 2, 3, 6, 5, 5, 4], range(0, 10));
    }

    /**
     * @param  list<PlanTask>  $tasks
     * @param  list<float>  $room
     */
    private static function assertHolds(SessionPlan $plan, array $tasks, float $capacity, array $room = []): void
    {
        $in = [];
        $order = [];
        foreach ($plan->sessions as $k => $session) {
            self::assertLessThanOrEqual(($room[$k] ?? $capacity) + 1e-6, $session['minutes']);
            foreach ($session['lessons'] as $id) {
                self::assertArrayNotHasKey($id, $in, 'each lesson once');
                $in[$id] = $k;
                $order[$id] = count($order);
            }
        }
        self::assertCount(count($tasks), $in);
        foreach ($tasks as $task) {
            self::assertGreaterThanOrEqual($task->notBefore, $in[$task->id]);
            self::assertLessThanOrEqual($task->notAfter ?? PHP_INT_MAX, $in[$task->id]);
            foreach ($task->needs as $need) {
                self::assertLessThan($order[$task->id], $order[$need], "{$task->id} before $need");
            }
        }
    }

    /** @return iterable<string, array{float, int}> published optima */
    public static function cycles(): iterable
    {
        foreach ([7 => 8, 9 => 6, 10 => 5, 13 => 4, 14 => 4, 21 => 3] as $cycle => $stations) {
            yield "cycle $cycle" => [(float) $cycle, $stations];
        }
    }

    #[DataProvider('cycles')]
    public function test_jackson_1956(float $cycle, int $stations): void
    {
        $plan = SessionSolver::fewest(SessionProblem::of(self::jackson(), $cycle));
        self::assertSame([$stations, $stations, true], [$plan->count(), $plan->lowerBound, $plan->proven]);
        self::assertHolds($plan, self::jackson(), $cycle);
    }

    /** Every way to fill sessions one after the other, for up to nine lessons: the same number, and never below the bound. */
    public function test_against_exhaustive_search(): void
    {
        for ($seed = 0; $seed < 150; $seed++) {
            $tasks = RandomLessons::course(4 + $seed % 6, $seed);
            $capacity = [75.0, 90.0, 105.0, 140.0][$seed % 4];
            $plan = SessionSolver::fewest(SessionProblem::of($tasks, $capacity));
            self::assertHolds($plan, $tasks, $capacity);
            self::assertTrue($plan->proven);
            self::assertSame(self::exhaustive($tasks, $capacity), $plan->count(), "seed $seed");
            [$low] = LowerBound::of(SessionProblem::of($tasks, $capacity));
            self::assertLessThanOrEqual($plan->count(), $low);
        }
    }

    /**
     * Least sessions, and least minutes in the last of them, for every set of lessons: dynamic programming over all sets.
     *
     * @param  list<PlanTask>  $tasks
     */
    private static function exhaustive(array $tasks, float $capacity): int
    {
        $n = count($tasks);
        $number = array_flip(array_map(fn (PlanTask $t): string => $t->id, $tasks));
        $before = array_map(fn (PlanTask $t): int => array_reduce($t->needs, fn (int $set, string $id): int => $set | 1 << $number[$id], 0), $tasks);
        $best = [0 => [1, 0.0]];
        for ($set = 0; $set < 1 << $n; $set++) {
            if (! isset($best[$set])) {
                continue;
            }
            [$sessions, $used] = $best[$set];
            for ($j = 0; $j < $n; $j++) {
                if (($set >> $j & 1) === 1 || ($before[$j] & ~$set) !== 0) {
                    continue;
                }
                $next = $used + $tasks[$j]->minutes <= $capacity + 1e-9 ? [$sessions, $used + $tasks[$j]->minutes] : [$sessions + 1, $tasks[$j]->minutes];
                $with = $set | 1 << $j;
                $best[$with] = isset($best[$with]) ? min($best[$with], $next) : $next;
            }
        }

        return $best[(1 << $n) - 1][0];
    }

    /** Of so many sessions the longest is as short as can be (type 2), and type 1 agrees: one minute less needs one session more. */
    public function test_type_two_agrees_with_type_one(): void
    {
        for ($seed = 2000; $seed < 2040; $seed++) {
            $tasks = RandomLessons::course(10 + $seed % 8, $seed);
            $m = 3 + $seed % 4;
            $plan = SessionSolver::shortest(SessionProblem::of($tasks, 1e6), $m);
            self::assertTrue($plan->proven);
            self::assertHolds($plan, $tasks, $plan->capacity);
            self::assertLessThanOrEqual($m, SessionSolver::fewest(SessionProblem::of($tasks, $plan->capacity))->count());
            $shorter = $plan->capacity - 1;
            if ($shorter >= max(array_map(fn (PlanTask $t): float => $t->minutes, $tasks))) {
                self::assertGreaterThan($m, SessionSolver::fewest(SessionProblem::of($tasks, $shorter))->count());
            }
        }
    }

    /** The second aim: of Jackson's plans with five stations of ten, none has a shorter longest station than ten. */
    public function test_sessions_are_evened_out_without_one_more(): void
    {
        for ($seed = 3000; $seed < 3030; $seed++) {
            $tasks = RandomLessons::course(12, $seed);
            $plan = SessionSolver::fewest(SessionProblem::of($tasks, 140.0));
            $longest = max(array_column($plan->sessions, 'minutes'));
            $shortest = SessionSolver::shortest(SessionProblem::of($tasks, 140.0), $plan->count())->capacity;
            self::assertEqualsWithDelta($shortest, $longest, 1.5, "seed $seed");
        }
    }

    /** Asked to keep the teacher's order, a plan has no session more, and follows the order wherever that fits. */
    public function test_the_teachers_order_is_kept_where_it_costs_nothing(): void
    {
        $kept = 0;
        for ($seed = 5000; $seed < 5040; $seed++) {
            $tasks = RandomLessons::course(12, $seed);
            $problem = SessionProblem::of($tasks, 150.0);
            $plan = SessionSolver::fewest($problem, inOrder: true);
            self::assertHolds($plan, $tasks, 150.0);
            self::assertSame(SessionSolver::fewest($problem)->count(), $plan->count());
            $kept += array_merge(...array_column($plan->sessions, 'lessons')) === array_map(fn (PlanTask $t): string => $t->id, $problem->tasks) ? 1 : 0;
        }
        self::assertGreaterThan(5, $kept);
        $five = array_map(fn (int $i): PlanTask => new PlanTask("t$i", [50, 40, 30, 60, 20][$i]), range(0, 4));
        self::assertSame([['t0', 't1'], ['t2', 't3', 't4']], array_column(SessionSolver::fewest(SessionProblem::of($five, 120), inOrder: true)->sessions, 'lessons'));
    }

    /** The third aim, against every order of the session: no order that holds changes the foot less. */
    public function test_the_foot_is_changed_as_seldom_as_can_be(): void
    {
        $compared = 0;
        for ($seed = 4000; $seed < 4060; $seed++) {
            $tasks = RandomLessons::course(7, $seed, 0.15);
            $plan = SessionSolver::fewest(SessionProblem::of($tasks, 500.0));
            self::assertCount(1, $plan->sessions);
            $byId = array_combine(array_map(fn (PlanTask $t): string => $t->id, $tasks), $tasks);
            $least = PHP_INT_MAX;
            self::orders([], array_keys($byId), $byId, 0, null, $least);
            self::assertSame($least, $plan->sessions[0]['changes'], "seed $seed");
            $on = null;
            $changes = 0;
            foreach ($plan->sessions[0]['lessons'] as $id) {
                $changes += $byId[$id]->foot !== null && $on !== null && $byId[$id]->foot !== $on ? 1 : 0;
                $on = $byId[$id]->foot ?? $on;
            }
            self::assertSame($least, $changes);
            $compared += $least;
        }
        self::assertGreaterThan(20, $compared);
    }

    /**
     * @param  list<string>  $done
     * @param  list<string>  $left
     * @param  array<string, PlanTask>  $byId
     */
    private static function orders(array $done, array $left, array $byId, int $changes, ?string $on, int &$least): void
    {
        if ($left === []) {
            $least = min($least, $changes);

            return;
        }
        foreach ($left as $id) {
            if (array_diff($byId[$id]->needs, $done) === []) {
                $foot = $byId[$id]->foot;
                self::orders([...$done, $id], array_values(array_diff($left, [$id])), $byId, $changes + ($foot !== null && $on !== null && $foot !== $on ? 1 : 0), $foot ?? $on, $least);
            }
        }
    }

    public function test_sessions_that_differ_and_lessons_bound_to_them(): void
    {
        $tasks = [new PlanTask('a', 60), new PlanTask('b', 30, ['a']), new PlanTask('c', 90, ['a']), new PlanTask('d', 30, ['b'])];
        $plan = SessionSolver::fewest(SessionProblem::of($tasks, 90, [30, 90, 120]));
        self::assertHolds($plan, $tasks, 90, [30.0, 90.0, 120.0]);
        self::assertSame([3, true, []], [$plan->count(), $plan->proven, $plan->sessions[0]['lessons']], 'nothing fits into half an hour but what comes later');
        $bound = [new PlanTask('a', 60), new PlanTask('b', 30, ['a'], null, 2, 2), new PlanTask('c', 90, ['a'], null, 1), new PlanTask('d', 30)];
        $plan = SessionSolver::fewest(SessionProblem::of($bound, 120));
        self::assertHolds($plan, $bound, 120);
        self::assertSame(3, $plan->count());
        self::assertEquals(new PlaceReason(Holds::Pin), $plan->because['b']);
        self::assertSame(Holds::First, $plan->because['a']->kind);
    }

    /** @return iterable<string, array{list<PlanTask>, string, string}> */
    public static function impossible(): iterable
    {
        yield 'too long' => [[new PlanTask('a', 130)], 'lessons[0].minutes', 'no session has more than 120'];
        yield 'no time at all' => [[new PlanTask('a', 0)], 'lessons[0].minutes', 'more than 0'];
        yield 'circle' => [[new PlanTask('a', 10, ['b']), new PlanTask('b', 10, ['a'])], 'lessons[0].needs', '“a” needs “b” needs “a”'];
        yield 'unknown' => [[new PlanTask('a', 10, ['z'])], 'lessons[0].needs[0]', 'lesson of the plan'];
        yield 'twice' => [[new PlanTask('a', 10), new PlanTask('a', 10)], 'lessons[1].id', 'once'];
        yield 'bound before what it needs' => [[new PlanTask('a', 50, [], null, 1, 1), new PlanTask('b', 30, ['a'], null, 0, 0), new PlanTask('c', 30, [], null, 0, 0)], 'pins', '“a” in session 2, “b” in session 1'];
        yield 'too much in one' => [[new PlanTask('a', 70, [], null, 0, 0), new PlanTask('b', 70, [], null, 0, 0), new PlanTask('c', 20, [], null, 4, 4)], 'pins', '“a” in session 1, “b” in session 1'];
    }

    /** @param  list<PlanTask>  $tasks */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_named(array $tasks, string $field, string $said): void
    {
        try {
            SessionSolver::fewest(SessionProblem::of($tasks, 120));
            self::fail('It was planned.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
            self::assertStringNotContainsString('“c”', $e->getMessage(), 'only what clashes');
        }
    }

    public function test_no_lessons_need_no_session(): void
    {
        $plan = SessionSolver::fewest(SessionProblem::of([], 120));
        self::assertSame([0, 0, true], [$plan->count(), $plan->lowerBound, $plan->proven]);
    }

    /** Eighty lessons: a plan in any case, with what is known of the bound; the same each time. */
    public function test_many_lessons_give_a_plan_and_its_gap(): void
    {
        $tasks = RandomLessons::course(80, 5);
        $plan = SessionSolver::fewest(SessionProblem::of($tasks, 105.0), 20_000);
        self::assertHolds($plan, $tasks, 105.0);
        self::assertGreaterThanOrEqual($plan->lowerBound, $plan->count());
        self::assertEquals($plan, SessionSolver::fewest(SessionProblem::of($tasks, 105.0), 20_000));
    }

    /** Stopped at the first question, there is a plan all the same, and nothing is claimed that was not shown. */
    public function test_a_search_can_be_stopped(): void
    {
        $tasks = RandomLessons::course(80, 5);
        $asked = [];
        $plan = SessionSolver::fewest(SessionProblem::of($tasks, 105.0), go: function (int $steps, int $sessions) use (&$asked): bool {
            $asked[] = [$steps, $sessions];

            return false;
        });
        self::assertHolds($plan, $tasks, 105.0);
        self::assertNotSame([], $asked);
        $whole = SessionSolver::fewest(SessionProblem::of($tasks, 105.0));
        self::assertGreaterThanOrEqual($whole->count(), $plan->count());
        self::assertLessThanOrEqual($whole->count(), $plan->lowerBound);
        self::assertLessThan(60_000, max(array_column($asked, 0)));
    }
}
