<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Solver;

use OpenSeam\Core\Bench\BenchSolver;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Tests\Bench\BenchSolverTest;
use OpenSeam\Core\Tests\Support\GeneralSolver;
use OpenSeam\Core\Tests\Support\RandomBench;
use OpenSeam\Core\Tests\Support\RandomLessons;
use PHPUnit\Framework\TestCase;

/** Our plans against those of a general solver; minutes, not seconds, and so a suite of its own. */
final class GeneralSolverTest extends TestCase
{
    /** The GNU Linear Programming Kit finds the same numbers, for 8 to 30 lessons. */
    public function test_against_a_general_solver(): void
    {
        GeneralSolver::isThere() || self::markTestSkipped('glpsol is not installed: the plans were not compared with a general solver. ./seam test installs it.');
        $compared = 0;
        for ($seed = 1000; $compared < 200 && $seed < 1400; $seed++) {
            $n = $seed % 20 === 0 ? 18 + $seed % 13 : 8 + $seed % 6;
            $tasks = RandomLessons::course($n, $seed);
            $capacity = [105.0, 120.0, 165.0][$seed % 3];
            $plan = SessionSolver::fewest(SessionProblem::of($tasks, $capacity));
            self::assertTrue($plan->proven, "seed $seed");
            $other = GeneralSolver::fewestSessions($tasks, $capacity, $plan->count(), 2);
            if ($other !== null) {
                self::assertSame($other, $plan->count(), "seed $seed");
                $compared++;
            }
        }
        self::assertSame(200, $compared, 'the general solver finished too seldom to compare');
    }

    /** Seatings of classes of eight to sixteen, worth the same as those of the GNU Linear Programming Kit. */
    public function test_seatings_against_a_general_solver(): void
    {
        GeneralSolver::isThere() || self::markTestSkipped('glpsol is not installed: the seatings were not compared with a general solver. ./seam test installs it.');
        $compared = 0;
        for ($seed = 1; $compared < 60 && $seed < 120; $seed++) {
            $problem = RandomBench::of(8 + $seed % 9, 8 + $seed % 7, 6 + $seed % 9, $seed);
            $plan = BenchSolver::solve($problem);
            self::assertTrue($plan->proven, "seed $seed");
            BenchSolverTest::assertHolds($problem, $plan, "seed $seed");
            $other = GeneralSolver::seating($problem, 10);
            if ($other !== null) {
                self::assertEqualsWithDelta($other, $plan->value, 1e-4, "seed $seed");
                $compared++;
            }
        }
        self::assertSame(60, $compared, 'the general solver finished too seldom to compare');
    }
}
