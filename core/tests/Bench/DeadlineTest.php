<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Bench;

use OpenSeam\Core\Bench\BenchReasons;
use OpenSeam\Core\Bench\BenchSolver;
use OpenSeam\Core\Bench\SimpleSeats;
use OpenSeam\Core\Course\Planning\PlanTask;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\Tests\Support\RandomBench;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

/** A calculation that is out of time answers with what it has, and says what is proven of it. */
final class DeadlineTest extends TestCase
{
    private static function passed(): Deadline
    {
        $deadline = Deadline::in(1e-9);
        while (! $deadline->passed());

        return $deadline;
    }

    public function test_simple_seats_hold_and_bound_what_is_best(): void
    {
        for ($seed = 1; $seed <= 200; $seed++) {
            $problem = RandomBench::of(2 + $seed % 8, 2 + $seed % 6, 2 + $seed % 6, $seed);
            $simple = SimpleSeats::of($problem);
            $best = BenchSolver::solve($problem);
            BenchSolverTest::assertHolds($problem, $simple, "seed $seed");
            self::assertLessThanOrEqual($best->value + 1e-9, $simple->value, "seed $seed");
            self::assertGreaterThanOrEqual($best->value - 1e-9, $simple->upperBound, "seed $seed");
        }
    }

    public function test_out_of_time_a_bench_is_seated_all_the_same(): void
    {
        for ($seed = 1; $seed <= 50; $seed++) {
            $problem = RandomBench::of(8, 8, 6, $seed);
            $plan = BenchSolver::solve($problem, deadline: self::passed());
            BenchSolverTest::assertHolds($problem, $plan, "seed $seed");
            self::assertLessThanOrEqual($plan->upperBound + 1e-9, BenchSolver::solve($problem)->value, "seed $seed");
            foreach (BenchReasons::of($problem, $plan, Words::in(), [], self::passed()) as $reason) {
                self::assertNull($reason['cost']);
            }
        }
    }

    /** Cut off somewhere in the search: never less than simple seats, never more than is claimed to be possible. */
    public function test_cut_off_in_the_middle_it_claims_nothing_false(): void
    {
        for ($seed = 1; $seed <= 30; $seed++) {
            $problem = RandomBench::of(12, 10, 8, $seed);
            $whole = BenchSolver::solve($problem);
            foreach ([1, 3, 10] as $flows) {
                $cut = BenchSolver::solve($problem, $flows);
                BenchSolverTest::assertHolds($problem, $cut, "seed $seed");
                self::assertGreaterThanOrEqual(SimpleSeats::of($problem)->value - 1e-9, $cut->value);
                self::assertGreaterThanOrEqual($whole->value - 1e-9, $cut->upperBound, "seed $seed, $flows flows");
                $cut->proven && self::assertEqualsWithDelta($whole->value, $cut->value, 1e-6);
            }
        }
    }

    public function test_out_of_time_a_course_is_laid_all_the_same(): void
    {
        $tasks = array_map(fn (int $i): PlanTask => new PlanTask("l$i", 20.0 + $i % 7 * 5, $i > 2 ? ['l'.($i - 3)] : []), range(0, 59));
        $problem = SessionProblem::of($tasks, 300.0);
        $plan = SessionSolver::fewest($problem, go: fn (): bool => false);
        self::assertCount(60, array_merge(...array_map(fn (array $s): array => $s['lessons'], $plan->sessions)));
        self::assertLessThanOrEqual($plan->count(), $plan->lowerBound);
        $short = SessionSolver::shortest($problem, 12, deadline: self::passed());
        self::assertFalse($short->proven);
        self::assertCount(60, array_merge(...array_map(fn (array $s): array => $s['lessons'], $short->sessions)));
    }
}
