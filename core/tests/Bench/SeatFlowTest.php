<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Bench;

use OpenSeam\Core\Bench\BenchProblem;
use OpenSeam\Core\Bench\BenchSolver;
use OpenSeam\Core\Bench\FootStock;
use OpenSeam\Core\Bench\Seat;
use OpenSeam\Core\Bench\SeatFlow;
use OpenSeam\Core\Tests\Support\RandomBench;
use PHPUnit\Framework\TestCase;

/** The flow beneath a bench plan, and what must hold for any bench. */
final class SeatFlowTest extends TestCase
{
    /** With a machine for every lesson alone it is the assignment problem: against all ways to hand out lessons. */
    public function test_it_is_an_assignment(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 80; $round++) {
            $n = mt_rand(2, 5);
            $values = array_map(fn (): array => array_map(fn (): float => mt_rand(0, 50) / 5, range(0, $n - 1)), range(0, $n - 1));
            $suits = $stocks = [];
            for ($l = 0; $l < $n; $l++) {
                $suits["$l:-1"] = [$l => true];
                $stocks[] = [-1];
            }
            $flow = new SeatFlow($values, range(0, $n - 1), $stocks, [], $suits, array_fill(0, $n, 1), []);
            self::assertEqualsWithDelta(self::best($values, range(0, $n - 1)), $flow->value, 1e-9);
            self::assertSame($n, count(array_filter($flow->pairOf, fn (int $p): bool => $p >= 0)), 'everybody who can be seated is');
        }
    }

    /**
     * @param  list<array<int, float>>  $values
     * @param  list<int>  $left
     */
    private static function best(array $values, array $left): float
    {
        if ($values === []) {
            return 0.0;
        }
        $first = array_shift($values);

        return max(array_map(fn (int $l): float => $first[$l] + self::best($values, array_values(array_diff($left, [$l]))), $left));
    }

    /** More machines, feet or lessons at once never make it worse; holding somebody never makes it better. */
    public function test_more_of_anything_is_never_worse(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $p = RandomBench::of(7, 6, 6, $seed);
            $free = new BenchProblem($p->wants, $p->lessons, $p->machines, $p->feet, $p->mostLessons, $p->at);
            $value = BenchSolver::solve($free)->value;
            $lessons = new BenchProblem($p->wants, $p->lessons, $p->machines, $p->feet, $p->mostLessons + 1, $p->at);
            $machines = new BenchProblem($p->wants, $p->lessons, $p->machines + ['more' => array_keys($p->lessons)], $p->feet, $p->mostLessons, $p->at);
            $feet = new BenchProblem($p->wants, $p->lessons, $p->machines, array_map(fn (FootStock $f): FootStock => new FootStock($f->kind, $f->fits, $f->count + 1), $p->feet), $p->mostLessons, $p->at);
            foreach (['lessons' => $lessons, 'machines' => $machines, 'feet' => $feet] as $what => $more) {
                self::assertGreaterThanOrEqual($value - 1e-9, BenchSolver::solve($more)->value, "$what, seed $seed");
            }
            $held = new BenchProblem($p->wants, $p->lessons, $p->machines, $p->feet, $p->mostLessons, $p->at, ['s0' => 'm1']);
            $plan = BenchSolver::solve($held);
            self::assertLessThanOrEqual($value + 1e-9, $plan->value, "held, seed $seed");
            foreach ($plan->seats as $seat) {
                self::assertTrue($seat->student === 's0' ? $seat->machine === 'm1' : $seat->machine !== 'm1', "seed $seed");
            }
        }
    }

    /** The order in which students, machines or lessons are given changes nothing of what it is worth. */
    public function test_the_order_they_are_given_in_does_not_matter(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $p = RandomBench::of(8, 7, 7, $seed);
            $turned = new BenchProblem(array_reverse($p->wants), array_reverse($p->lessons), array_reverse($p->machines), array_reverse($p->feet), $p->mostLessons, $p->at, $p->held);
            self::assertEqualsWithDelta(BenchSolver::solve($p)->value, BenchSolver::solve($turned)->value, 1e-9, "seed $seed");
        }
    }

    /** Stopped early it says so: the plan holds, and the bound is not below the best there is. */
    public function test_a_search_cut_short_tells_how_far_it_may_be(): void
    {
        $short = 0;
        for ($seed = 1; $seed <= 40; $seed++) {
            $p = RandomBench::of(14, 12, 12, $seed);
            $best = BenchSolver::solve($p);
            $cut = BenchSolver::solve($p, 1);
            BenchSolverTest::assertHolds($p, $cut, "seed $seed");
            self::assertGreaterThanOrEqual($best->value - 1e-9, $cut->upperBound, "seed $seed");
            self::assertLessThanOrEqual($best->value + 1e-9, $cut->value, "seed $seed");
            $short += $cut->proven ? 0 : 1;
        }
        self::assertGreaterThan(3, $short);
    }

    /** Equal in worth: the one with more first choices, and nobody moved for nothing. */
    public function test_ties_go_to_first_choices(): void
    {
        $p = new BenchProblem(
            ['ona' => ['hem' => 2.0, 'zip' => 2.0], 'pim' => ['zip' => 2.0, 'hem' => 2.0]], ['hem' => null, 'zip' => null],
            ['a' => ['hem', 'zip'], 'b' => ['hem', 'zip']], [], 2, ['ona' => 'b', 'pim' => 'a'],
        );
        $plan = BenchSolver::solve($p);
        self::assertSame(['ona' => 'hem at b', 'pim' => 'zip at a'], array_map(fn (Seat $s): string => "{$s->lesson} at {$s->machine}", $plan->seats));
    }
}
