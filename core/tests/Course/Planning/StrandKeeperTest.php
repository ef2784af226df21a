<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course\Planning;

use OpenSeam\Core\Course\Planning\FootOrder;
use OpenSeam\Core\Course\Planning\PlanTask;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Course\Planning\StrandKeeper;
use OpenSeam\Core\Tests\Support\RandomLessons;
use PHPUnit\Framework\TestCase;

final class StrandKeeperTest extends TestCase
{
    /** @return list<PlanTask> */
    private static function course(int $n, int $seed): array
    {
        $tasks = RandomLessons::course($n, $seed);

        return array_map(fn (PlanTask $t): PlanTask => new PlanTask($t->id, $t->minutes, $t->needs, $t->foot, strand: ['edges', 'hems', 'closures', null][mt_rand(0, 3)]), $tasks);
    }

    /** Foot first, then strand, against all orders of up to six lessons. */
    public function test_the_order_in_a_session_is_exact(): void
    {
        for ($seed = 0; $seed < 40; $seed++) {
            $problem = SessionProblem::of(self::course(3 + $seed % 4, $seed), 1e6);
            $load = array_keys($problem->tasks);
            [$order, $changes] = FootOrder::of($problem, $load, 'hems');
            $cost = fn (array $o): array => [FootOrder::changes(array_map(fn (int $j): ?string => $problem->tasks[$j]->foot, $o)), FootOrder::changes(['hems', ...array_map(fn (int $j): ?string => $problem->tasks[$j]->strand, $o)])];
            $best = [PHP_INT_MAX, 0];
            foreach (self::orders($load) as $o) {
                $at = array_flip($o);
                $holds = array_filter($o, fn (int $j): bool => array_filter($problem->needs[$j], fn (int $n): bool => $at[$n] > $at[$j]) !== []) === [];
                $best = $holds ? min($best, $cost($o)) : $best;
            }
            self::assertSame($best, $cost($order), "seed $seed");
            self::assertSame($best[0], $changes);
        }
    }

    /**
     * @param  list<int>  $of
     * @return iterable<list<int>>
     */
    private static function orders(array $of): iterable
    {
        if (count($of) < 2) {
            yield $of;
        }
        foreach (count($of) < 2 ? [] : $of as $j) {
            foreach (self::orders(array_values(array_diff($of, [$j]))) as $rest) {
                yield [$j, ...$rest];
            }
        }
    }

    /** Gathering costs no session, no minute of the longest and no change of foot, and keeps all that holds. */
    public function test_gathering_never_costs_an_earlier_aim(): void
    {
        $better = 0;
        for ($seed = 0; $seed < 30; $seed++) {
            $tasks = self::course(14, $seed);
            $problem = SessionProblem::of($tasks, 130.0);
            $laid = array_map(fn (array $ids): array => array_map(fn (string $id): int => (int) array_search($id, array_map(fn (PlanTask $t): string => $t->id, $problem->tasks), true), $ids), SessionSolver::inTurn($problem) ?? []);
            $longest = fn (array $laid): float => max(array_map(fn (array $l): float => array_sum(array_map(fn (int $j): float => $problem->minutes[$j], $l)), $laid));
            $gathered = StrandKeeper::gather($problem, $laid, array_fill(0, count($laid), $longest($laid)));
            self::assertCount(count($laid), $gathered);
            self::assertEqualsCanonicalizing(array_keys($problem->tasks), array_merge(...$gathered));
            self::assertLessThanOrEqual($longest($laid), $longest($gathered));
            $in = [];
            foreach ($gathered as $k => $load) {
                $in += array_fill_keys($load, $k);
            }
            foreach ($in as $j => $k) {
                foreach ($problem->needs[$j] as $need) {
                    self::assertLessThanOrEqual($k, $in[$need]);
                }
            }
            $cost = fn (array $l): array => [array_sum(array_column(StrandKeeper::ordered($problem, $l), 1)), StrandKeeper::takenUp($problem, array_column(StrandKeeper::ordered($problem, $l), 0))];
            self::assertLessThanOrEqual($cost($laid), $cost($gathered));
            $better += $cost($gathered) < $cost($laid) ? 1 : 0;
        }
        self::assertGreaterThan(20, $better, 'it does something');
    }

    public function test_two_strands_that_were_mixed_are_kept_together(): void
    {
        $tasks = array_map(fn (int $i): PlanTask => new PlanTask("t$i", 30, strand: ['edges', 'hems'][$i % 2]), range(0, 5));
        $plan = SessionSolver::fewest(SessionProblem::of($tasks, 90.0));
        self::assertSame([2, 0], [$plan->count(), $plan->takenUp]);
        self::assertEqualsCanonicalizing(['t0', 't2', 't4'], in_array('t0', $plan->sessions[0]['lessons'], true) ? $plan->sessions[0]['lessons'] : $plan->sessions[1]['lessons']);
    }

    /** Where the teacher's order does not fit, the plan is nearer to it than the evenest one, in as many sessions. */
    public function test_the_teacher_s_order_is_kept_as_far_as_it_goes(): void
    {
        $turned = function (SessionProblem $p, array $sessions): int {
            $number = array_flip(array_map(fn (PlanTask $t): string => $t->id, $p->tasks));
            $all = [];
            foreach ($sessions as $k => $ids) {
                foreach ($ids as $id) {
                    $all[$number[$id]] = $k;
                }
            }
            $count = 0;
            foreach ($all as $i => $a) {
                foreach ($all as $j => $b) {
                    $count += $i < $j && $a > $b ? 1 : 0;
                }
            }

            return $count;
        };
        $nearer = 0;
        for ($seed = 0; $seed < 25; $seed++) {
            $problem = SessionProblem::of(self::course(16, $seed), 125.0);
            $even = SessionSolver::fewest($problem);
            $kept = SessionSolver::fewest($problem, inOrder: true);
            self::assertSame($even->count(), $kept->count());
            self::assertLessThanOrEqual(125.0, max(array_column($kept->sessions, 'minutes')));
            [$a, $b] = [$turned($problem, array_column($even->sessions, 'lessons')), $turned($problem, array_column($kept->sessions, 'lessons'))];
            $nearer += $b < $a ? 1 : 0;
        }
        self::assertGreaterThan(15, $nearer);
    }
}
