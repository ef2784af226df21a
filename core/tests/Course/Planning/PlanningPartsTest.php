<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course\Planning;

use OpenSeam\Core\Course\Planning\FootOrder;
use OpenSeam\Core\Course\Planning\LowerBound;
use OpenSeam\Core\Course\Planning\Outcome;
use OpenSeam\Core\Course\Planning\PlanTask;
use OpenSeam\Core\Course\Planning\Search;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Course\Planning\StationBounds;
use OpenSeam\Core\Course\Planning\TaughtTogether;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Tests\Support\RandomLessons;
use PHPUnit\Framework\TestCase;

final class PlanningPartsTest extends TestCase
{
    /** Two lessons of 60 in sessions of 100 do not stand in one: worked by hand. */
    public function test_heads_and_tails_of_a_chain(): void
    {
        $chain = SessionProblem::of([new PlanTask('a', 60), new PlanTask('b', 60, ['a']), new PlanTask('c', 30, ['b'])], 100.0);
        self::assertEqualsWithDelta([0.0, 1.0, 1.6], StationBounds::heads($chain, 100.0), 1e-9);
        self::assertEqualsWithDelta([1.0, 0.3, 0.0], StationBounds::tails($chain, 100.0), 1e-9);
        self::assertSame(2, StationBounds::least($chain, 100.0));
    }

    /** No bound is ever above what a plan needs, and every plan found without going back holds. */
    public function test_bounds_are_below_and_first_plans_above_the_optimum(): void
    {
        for ($seed = 6000; $seed < 6060; $seed++) {
            $problem = SessionProblem::of(RandomLessons::course(14, $seed), 120.0);
            $best = SessionSolver::fewest($problem)->count();
            self::assertLessThanOrEqual($best, StationBounds::least($problem, 120.0));
            self::assertLessThanOrEqual($best, LowerBound::of($problem)[0]);
            $first = (new Search($problem, 100_000))->fullest(array_fill(0, 20, 120.0), 50);
            self::assertNotNull($first);
            self::assertGreaterThanOrEqual($best, count(array_filter($first, fn (array $load): bool => $load !== [])));
            self::assertGreaterThanOrEqual($best, count(SessionSolver::inTurn($problem) ?? []));
            // One session fewer: really none. As many: one is found.
            self::assertSame(Outcome::Impossible, (new Search($problem, 1_000_000))->within(array_fill(0, $best - 1, 120.0))->outcome);
            self::assertSame(Outcome::Found, (new Search($problem, 1_000_000))->within(array_fill(0, $best, 120.0))->outcome);
        }
    }

    public function test_a_search_that_ends_early_says_that_it_does_not_know(): void
    {
        $problem = SessionProblem::of(RandomLessons::course(40, 3), 105.0);
        $best = SessionSolver::fewest($problem)->count();
        self::assertSame(Outcome::Undecided, (new Search($problem, 5))->within(array_fill(0, $best, 105.0))->outcome);
    }

    public function test_sets_of_more_than_sixty_lessons(): void
    {
        $set = SessionProblem::with(SessionProblem::with([0, 0], 59), 60);
        self::assertSame([true, true, false, false], [SessionProblem::has($set, 59), SessionProblem::has($set, 60), SessionProblem::has($set, 61), SessionProblem::has($set, 0)]);
        $chain = array_map(fn (int $i): PlanTask => new PlanTask("t$i", 60, $i === 0 ? [] : ['t'.($i - 1)]), range(0, 99));
        $plan = SessionSolver::fewest(SessionProblem::of($chain, 100.0));
        self::assertSame([100, 100, true], [$plan->count(), StationBounds::least(SessionProblem::of($chain, 100.0), 100.0), $plan->proven]);
        $this->expectExceptionMessage('At most 120 lessons');
        SessionProblem::of(array_map(fn (int $i): PlanTask => new PlanTask("t$i", 1), range(0, 120)), 100.0);
    }

    /** Zip, straight, zip without needs: one change in the best order, two in the given one. */
    public function test_feet_are_put_together(): void
    {
        $problem = SessionProblem::of([new PlanTask('a', 10, [], 'zip'), new PlanTask('b', 10, [], 'straight'), new PlanTask('c', 10, [], 'zip'), new PlanTask('d', 10)], 100.0);
        self::assertSame(2, FootOrder::changes(['zip', 'straight', null, 'zip']));
        [$order, $changes] = FootOrder::of($problem, [0, 1, 2, 3]);
        self::assertSame([[0, 2, 1, 3], 1], [$order, $changes]);
        $bound = SessionProblem::of([new PlanTask('a', 10, [], 'zip'), new PlanTask('b', 10, ['a'], 'straight'), new PlanTask('c', 10, ['b'], 'zip')], 100.0);
        self::assertSame([[0, 1, 2], 2], FootOrder::of($bound, [0, 1, 2]));
    }

    public function test_lessons_taught_together_stand_in_one_session(): void
    {
        $tasks = [new PlanTask('a', 40), new PlanTask('b', 30, ['a']), new PlanTask('c', 30, ['b'], 'zip'), new PlanTask('d', 50, ['a'])];
        $joined = TaughtTogether::join($tasks, [['c', 'b']]);
        self::assertSame(['a', 'c+b', 'd'], array_map(fn (PlanTask $t): string => $t->id, $joined->tasks));
        self::assertSame([60.0, ['a']], [$joined->tasks[1]->minutes, $joined->tasks[1]->needs]);
        self::assertSame(['a', 'b', 'c'], $joined->apart(['a', 'c+b'], ['b' => ['a'], 'c' => ['b']]), 'what is needed first, inside the group too');
        self::assertSame(['c', 'b'], $joined->members('c+b'));
        $bad = [
            [[['a', 'nobody']], 'together[0][1]', 'lesson of the plan'],
            [[['a', 'b'], ['b', 'c']], 'together[1][0]', 'one group only'],
        ];
        foreach ($bad as [$groups, $field, $said]) {
            try {
                TaughtTogether::join($tasks, $groups);
                self::fail('It was taken.');
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
                self::assertStringContainsString($said, $e->getMessage());
            }
        }
        // Together, and something between them that needs the one and is needed by the other: a circle, and named.
        try {
            SessionProblem::of(TaughtTogether::join([new PlanTask('a', 10), new PlanTask('b', 10, ['a']), new PlanTask('c', 10, ['b'])], [['a', 'c']])->tasks, 100.0);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertStringContainsString('“a+c”', $e->getMessage());
        }
    }
}
