<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course\Planning;

use OpenSeam\Core\Course\Planning\CourseLayout;
use OpenSeam\Core\Course\Planning\Holds;
use OpenSeam\Core\Course\Planning\LowerBound;
use OpenSeam\Core\Course\Planning\PlaceReason;
use OpenSeam\Core\Course\Planning\PlanTask;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Course\Planning\TeachingOrder;
use OpenSeam\Core\Course\PlanReview;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Tests\Support\RandomLessons;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** @phpstan-import-type CourseLesson from \OpenSeam\Core\Course\Planning\CourseTasks */
final class WishesTest extends TestCase
{
    /** @return list<CourseLesson> seven lessons of 40 min in two strands, sewn under two feet */
    private static function lessons(): array
    {
        $lesson = fn (string $id, array $needs, ?string $foot, string $strand): array => ['id' => $id, 'minutes' => 40.0, 'needs' => array_values($needs), 'foot' => $foot, 'strand' => $strand];

        return [
            $lesson('seat', [], null, 'ready'), $lesson('seam', ['seat'], 'standard', 'steer'), $lesson('zip', ['seam'], 'zip', 'close'), $lesson('curve', ['seam'], 'standard', 'steer'),
            $lesson('cord', ['seam'], 'zip', 'edge'), $lesson('hem', ['seam'], 'standard', 'edge'), $lesson('button', ['zip'], 'button', 'close'),
        ];
    }

    public function test_a_lesson_sewn_at_home_takes_no_class_time_and_parts_what_it_stands_between(): void
    {
        $laid = CourseLayout::of(self::lessons(), array_fill(0, 4, 200.0), new PlanWishes(home: ['zip']));
        self::assertSame([], $laid->left);
        $in = fn (string $id): int => (int) array_key_first(array_filter($laid->sessions, fn (array $ids): bool => in_array($id, $ids, true)));
        self::assertNotContains('zip', array_merge(...$laid->sessions));
        self::assertContains('zip', $laid->home[$in('seam')]);
        self::assertGreaterThan($in('seam'), $in('button'), 'sewn at home in between');
        self::assertEquals(new PlaceReason(Holds::Home, 'seam'), $laid->because['button']);
        self::assertSame([], PlanReview::of(self::lessons(), $laid->sessions, array_fill(0, 4, 200.0), $laid->home));
        // Two at home, one on the other: both after the same session, and what they need counts through both.
        $two = CourseLayout::of(self::lessons(), array_fill(0, 4, 200.0), new PlanWishes(home: ['seam', 'zip']));
        self::assertSame([['seam', 'zip'], []], [$two->home[0], $two->left]);
        self::assertSame([['seat'], ['curve', 'cord', 'hem', 'button']], [$two->sessions[0], array_values(array_intersect(['curve', 'cord', 'hem', 'button'], $two->sessions[1]))]);
        self::assertNotSame([], PlanReview::of(self::lessons(), [['seat', 'seam', 'curve', 'cord', 'hem', 'button']], [300.0], [['zip']]), 'what stands on it may not be in the same session');
    }

    /** Against every way to put up to seven lessons into sessions one after the other, with gaps and bounds drawn by lot. */
    public function test_waiting_lessons_against_exhaustive_search(): void
    {
        mt_srand(5);
        for ($round = 0; $round < 120; $round++) {
            $tasks = array_map(fn (PlanTask $t): PlanTask => new PlanTask($t->id, $t->minutes, $t->needs, $t->foot, mt_rand(0, 6) === 0 ? mt_rand(0, 2) : 0, null, null, array_values(array_filter($t->needs, fn (): bool => mt_rand(0, 1) === 0))), RandomLessons::course(3 + $round % 5, $round, 0.5));
            $capacity = [75.0, 105.0, 160.0][$round % 3];
            $plan = SessionSolver::fewest(SessionProblem::of($tasks, $capacity));
            self::assertTrue($plan->proven);
            self::assertSame(self::exhaustive($tasks, $capacity), $plan->count(), "round $round");
            self::assertLessThanOrEqual($plan->count(), LowerBound::of(SessionProblem::of($tasks, $capacity))[0]);
        }
    }

    /** @param  list<PlanTask>  $tasks */
    private static function exhaustive(array $tasks, float $capacity): int
    {
        $layer = ['' => []];
        for ($k = 0; $k < 40; $k++) {
            $next = [];
            foreach ($layer as $done) {
                for ($set = 0; $set < 1 << count($tasks); $set++) {
                    $load = array_values(array_filter($tasks, fn (PlanTask $t, int $i): bool => (($set >> $i) & 1) === 1 && ! in_array($t->id, $done, true), ARRAY_FILTER_USE_BOTH));
                    $with = [...$done, ...array_map(fn (PlanTask $t): string => $t->id, $load)];
                    $holds = array_sum(array_map(fn (PlanTask $t): float => $t->minutes, $load)) <= $capacity
                        && array_filter($load, fn (PlanTask $t): bool => $t->notBefore > $k || array_diff($t->needs, $with) !== [] || array_diff($t->earlier, $done) !== []) === [];
                    if ($holds) {
                        if (count($with) === count($tasks)) {
                            return $k + 1;
                        }
                        sort($with);
                        $next[implode(',', $with)] = $with;
                    }
                }
            }
            $layer = $next;
        }

        return 0;
    }

    public function test_the_school_orders_what_is_free(): void
    {
        $ids = fn (TeachingOrder $order): array => array_column($order->sort(self::lessons()), 'id');
        self::assertSame(['seat', 'seam', 'zip', 'curve', 'cord', 'hem', 'button'], $ids(TeachingOrder::Course));
        self::assertSame(['seat', 'seam', 'curve', 'zip', 'button', 'cord', 'hem'], $ids(TeachingOrder::StitchesFirst));
        self::assertSame(['seat', 'seam', 'curve', 'hem', 'zip', 'cord', 'button'], $ids(TeachingOrder::FeetFirst));
        $feet = CourseLayout::of(self::lessons(), array_fill(0, 4, 125.0), new PlanWishes(order: TeachingOrder::FeetFirst));
        self::assertSame(['seat', 'seam', 'curve', 'hem', 'cord', 'zip', 'button'], array_merge(...$feet->sessions), 'two under the zip foot: the one of the strand in hand first');
        $day = CourseLayout::of(self::lessons(), array_fill(0, 3, 170.0), new PlanWishes(order: TeachingOrder::OneDay));
        self::assertSame([[['seat', 'seam', 'zip', 'curve'], [], []], ['cord', 'hem', 'button']], [$day->sessions, $day->left]);
    }

    public function test_bounds_and_groups_hold_and_the_rest_keeps_its_order(): void
    {
        $wishes = new PlanWishes(['hem' => 2], ['zip' => 1], ['cord' => 1], [['curve', 'cord']]);
        $laid = CourseLayout::of(self::lessons(), array_fill(0, 4, 125.0), $wishes);
        $in = [];
        foreach ($laid->sessions as $k => $ids) {
            $in += array_fill_keys($ids, $k);
        }
        self::assertSame([2, $in['curve'], []], [$in['hem'], $in['cord'], $laid->left]);
        self::assertGreaterThanOrEqual(1, $in['zip']);
        self::assertLessThanOrEqual(1, $in['cord']);
        self::assertSame([], PlanReview::of(self::lessons(), $laid->sessions, array_fill(0, 4, 125.0)));
        // Of what is to come, sessions that have begun are counted off; what was taught binds nothing.
        $rest = $wishes->toCome(2, ['seat', 'seam', 'curve']);
        self::assertEquals(new PlanWishes(['hem' => 0], ['zip' => 0], [], []), $rest);
        self::assertEquals($wishes, PlanWishes::of($wishes->kept()));
    }

    /** @return iterable<string, array{PlanWishes, string, string}> */
    public static function contradictions(): iterable
    {
        yield 'unknown pin' => [new PlanWishes(['sail' => 0]), 'pins', 'lesson of the course'];
        yield 'no such session' => [new PlanWishes(notBefore: ['zip' => 9]), 'not_before.zip', 'sessions 1 to 4'];
        yield 'after before before' => [new PlanWishes(notBefore: ['zip' => 2], notAfter: ['zip' => 1]), 'not_after.zip', 'may not stand before session 3'];
        yield 'in two groups' => [new PlanWishes(together: [['zip', 'hem'], ['hem', 'curve']]), 'together.1.0', 'one group only'];
        yield 'pinned at home' => [new PlanWishes(['zip' => 1], home: ['zip']), 'home.0', 'takes class time'];
        yield 'grouped at home' => [new PlanWishes(together: [['zip', 'hem']], home: ['zip']), 'together.0.0', 'sewn at home'];
        yield 'unknown at home' => [new PlanWishes(home: ['sail']), 'home.0', 'lesson of the course'];
        yield 'group too long' => [new PlanWishes(together: [['zip', 'hem', 'curve', 'cord']]), 'together', '160 min together'];
        yield 'group around something at home' => [new PlanWishes(together: [['seam', 'button']], home: ['zip']), 'together', 'cannot stand in one session'];
        yield 'pinned outside its bounds' => [new PlanWishes(['zip' => 0], ['zip' => 1]), 'pins', 'pinned to session 1'];
        yield 'clash' => [new PlanWishes(['zip' => 2, 'hem' => 0], [], ['button' => 1, 'seam' => 1]), 'pins', '“zip” in session 3, “button” not after session 2'];
    }

    #[DataProvider('contradictions')]
    public function test_what_contradicts_itself_is_named(PlanWishes $wishes, string $field, string $said): void
    {
        try {
            $wishes->check(array_column(self::lessons(), 'id'), 4);
            CourseLayout::of(self::lessons(), array_fill(0, 4, 125.0), $wishes);
            self::fail('It was planned.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
        }
    }
}
