<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Bench;

use OpenSeam\Core\Bench\BenchProblem;
use OpenSeam\Core\Bench\BenchReasons;
use OpenSeam\Core\Bench\BenchSolver;
use OpenSeam\Core\Bench\DemoOrder;
use OpenSeam\Core\Bench\FootStock;
use OpenSeam\Core\Bench\Seat;
use OpenSeam\Core\Bench\Seating;
use OpenSeam\Core\Tests\Support\RandomBench;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

final class BenchSolverTest extends TestCase
{
    /** Every seating there is, tried one by one, for classes to six. */
    public function test_against_brute_force(): void
    {
        for ($seed = 1; $seed <= 300; $seed++) {
            $problem = RandomBench::of(2 + $seed % 5, 2 + $seed % 4, 2 + $seed % 4, $seed);
            $plan = BenchSolver::solve($problem);
            self::assertTrue($plan->proven, "seed $seed");
            self::assertEqualsWithDelta(self::best($problem, array_keys($problem->wants), [], [], []), $plan->value, 1e-9, "seed $seed");
            self::assertHolds($problem, $plan, "seed $seed");
        }
    }

    /**
     * @param  list<string>  $left
     * @param  array<string, true>  $machines
     * @param  array<int, int>  $feet
     * @param  array<string, true>  $lessons
     */
    private static function best(BenchProblem $p, array $left, array $machines, array $feet, array $lessons): float
    {
        if ($left === []) {
            return 0.0;
        }
        $student = array_shift($left);
        $best = self::best($p, $left, $machines, $feet, $lessons);
        foreach ($p->wants[$student] as $lesson => $value) {
            if (! isset($lessons[$lesson]) && count($lessons) >= $p->mostLessons) {
                continue;
            }
            foreach ($p->machines as $machine => $can) {
                if (isset($machines[$machine]) || ! in_array($lesson, $can, true) || ($p->held[$student] ?? $machine) !== $machine || array_key_exists($machine, array_flip(array_diff_key($p->held, [$student => 1])))) {
                    continue;
                }
                $stocks = $p->lessons[$lesson] === null ? [null] : array_keys($p->feet);
                foreach ($stocks as $f) {
                    if ($f !== null && ($p->feet[$f]->kind !== $p->lessons[$lesson] || ($feet[$f] ?? 0) >= $p->feet[$f]->count || ! in_array($machine, $p->feet[$f]->fits, true))) {
                        continue;
                    }
                    $best = max($best, $value + self::best($p, $left, $machines + [$machine => true], $f === null ? $feet : [$f => ($feet[$f] ?? 0) + 1] + $feet, $lessons + [$lesson => true]));
                }
            }
        }

        return $best;
    }

    /** Nobody shares a machine, no foot is there twice, no lesson too many, and the value is what the seats are worth. */
    public static function assertHolds(BenchProblem $p, Seating $plan, string $of): void
    {
        $machines = array_map(fn (Seat $s): string => $s->machine, array_values($plan->seats));
        self::assertSame($machines, array_unique($machines), $of);
        self::assertLessThanOrEqual($p->mostLessons, count($plan->lessons()), $of);
        $feet = [];
        $value = 0.0;
        foreach ($plan->seats as $seat) {
            self::assertSame($p->held[$seat->student] ?? $seat->machine, $seat->machine, $of);
            self::assertContains($seat->lesson, $p->machines[$seat->machine], $of);
            self::assertSame($p->lessons[$seat->lesson], $seat->foot, $of);
            $value += $p->wants[$seat->student][$seat->lesson];
            if ($seat->foot !== null) {
                self::assertNotNull($seat->stock, $of);
                self::assertSame($seat->foot, $p->feet[$seat->stock]->kind, $of);
                self::assertContains($seat->machine, $p->feet[$seat->stock]->fits, $of);
                $feet[$seat->stock] = ($feet[$seat->stock] ?? 0) + 1;
                self::assertLessThanOrEqual($p->feet[$seat->stock]->count, $feet[$seat->stock], $of);
            }
        }
        self::assertEqualsWithDelta($value, $plan->value, 1e-9, $of);
    }

    /** Two lessons that share one drawer of feet, in a room where that is all that matters. */
    public function test_feet_that_lessons_share_are_divided(): void
    {
        $room = ['a' => ['bar', 'strip', 'cord'], 'b' => ['bar', 'strip', 'cord'], 'c' => ['bar', 'strip', 'cord'], 'd' => ['bar', 'strip', 'cord'], 'e' => ['bar', 'strip', 'cord'], 'f' => ['bar', 'strip', 'cord']];
        $problem = new BenchProblem(
            ['s' => ['bar' => 9.0], 't' => ['bar' => 8.0], 'u' => ['strip' => 7.0], 'v' => ['strip' => 6.0], 'w' => ['cord' => 5.0], 'x' => ['cord' => 4.0]],
            ['bar' => 'satin', 'strip' => 'satin', 'cord' => 'satin'], $room, [new FootStock('satin', ['a', 'b', 'c', 'd', 'e', 'f'], 3)], 3,
        );
        $plan = BenchSolver::solve($problem);
        self::assertTrue($plan->proven);
        self::assertSame(24.0, $plan->value);
        self::assertHolds($problem, $plan, 'shared');
    }

    public function test_whoever_can_stays_where_they_sat(): void
    {
        $problem = new BenchProblem(
            ['ona' => ['zip' => 5.0], 'pim' => ['zip' => 5.0], 'rue' => ['hem' => 5.0]], ['zip' => 'zip', 'hem' => null],
            ['red' => ['zip', 'hem'], 'blue' => ['zip', 'hem'], 'green' => ['zip', 'hem', 'more'], 'old' => ['hem']], [new FootStock('zip', ['red', 'blue', 'green'], 2)], 2,
            ['ona' => 'green', 'pim' => 'blue', 'rue' => 'old'],
        );
        $plan = BenchSolver::solve($problem);
        self::assertSame(['ona' => 'green', 'pim' => 'blue', 'rue' => 'old'], array_map(fn (Seat $s): string => $s->machine, $plan->seats));
    }

    public function test_everybody_without_their_first_choice_is_told_why(): void
    {
        $machines = array_fill_keys(['a', 'b', 'c', 'd'], ['zip', 'hem']) + ['e' => ['satin', 'hem']];
        $problem = new BenchProblem(
            ['ona' => ['zip' => 9.0, 'hem' => 1.0], 'pim' => ['zip' => 8.0, 'hem' => 2.0], 'rue' => ['hem' => 3.0], 'tam' => ['satin' => 2.0, 'hem' => 1.0], 'una' => ['quilt' => 5.0], 'ves' => []],
            ['zip' => 'zip', 'hem' => null, 'satin' => null, 'quilt' => null], $machines, [new FootStock('zip', ['a', 'b'], 1)], 2,
        );
        $plan = BenchSolver::solve($problem);
        $why = array_column(BenchReasons::of($problem, $plan, Words::in()), null, 'student');
        self::assertSame(['pim' => 'foot', 'tam' => 'lessons', 'una' => 'no-machine', 'ves' => 'nothing-to-sew'], array_column($why, 'because', 'student'));
        self::assertStringContainsString('is with ona', $why['pim']['text']);
        // Pim instead of Ona: 8 + 1 for 9 + 2.
        self::assertSame(2.0, $why['pim']['cost']);
        self::assertNull($why['una']['cost']);
    }

    /** Smith 1956 against every order of up to five demos. */
    public function test_demos_in_the_order_that_waits_least(): void
    {
        mt_srand(4);
        for ($round = 0; $round < 60; $round++) {
            $n = mt_rand(2, 5);
            $minutes = $seats = [];
            for ($l = 0; $l < $n; $l++) {
                $minutes["l$l"] = (float) mt_rand(3, 15);
                for ($i = mt_rand(1, 4); $i > 0; $i--) {
                    $seats["s$l-$i"] = new Seat("s$l-$i", "l$l", "m$l-$i", null);
                }
            }
            $demos = DemoOrder::of(new Seating($seats, 0.0, 0.0, true), $minutes);
            self::assertSame([0.0, array_sum($minutes)], [$demos[0]['from'], end($demos)['to'] ?? null]);
            $waited = fn (array $order): float => self::waited($order, $minutes, array_count_values(array_map(fn (Seat $s): string => $s->lesson, array_values($seats))));
            $least = min(array_map($waited, self::orders(array_keys($minutes))));
            self::assertSame($least, $waited(array_column($demos, 'lesson')));
        }
    }

    /**
     * @param  list<string>  $order
     * @param  array<string, float>  $minutes
     * @param  array<string, int>  $students
     */
    private static function waited(array $order, array $minutes, array $students): float
    {
        [$at, $sum] = [0.0, 0.0];
        foreach ($order as $lesson) {
            $at += $minutes[$lesson];
            $sum += $at * $students[$lesson];
        }

        return $sum;
    }

    /**
     * @param  list<string>  $of
     * @return list<list<string>>
     */
    private static function orders(array $of): array
    {
        $all = $of === [] ? [[]] : [];
        foreach ($of as $first) {
            foreach (self::orders(array_values(array_diff($of, [$first]))) as $rest) {
                $all[] = [$first, ...$rest];
            }
        }

        return $all;
    }

    public function test_an_empty_room_and_an_absent_class_have_an_answer(): void
    {
        $none = BenchSolver::solve(new BenchProblem([], ['hem' => null], ['a' => ['hem']], [], 2));
        self::assertSame([[], 0.0, true], [$none->seats, $none->value, $none->proven]);
        $problem = new BenchProblem(['ona' => ['hem' => 2.0]], ['hem' => null], [], [], 2);
        $plan = BenchSolver::solve($problem);
        self::assertSame([[], 0.0, true], [$plan->seats, $plan->value, $plan->proven]);
        self::assertSame(['no-machine'], array_column(BenchReasons::of($problem, $plan, Words::in()), 'because'));
    }
}
