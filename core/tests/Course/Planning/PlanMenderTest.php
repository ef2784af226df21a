<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course\Planning;

use OpenSeam\Core\Course\Planning\CourseLayout;
use OpenSeam\Core\Course\Planning\PlanMender;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\PlanReview;
use PHPUnit\Framework\TestCase;

final class PlanMenderTest extends TestCase
{
    /** @return list<array{id: string, minutes: float, needs: list<string>}> a chain of six, 50 min each */
    private static function lessons(): array
    {
        return array_map(fn (int $i): array => ['id' => "l$i", 'minutes' => 50.0, 'needs' => $i === 0 ? [] : ['l'.($i - 1)]], range(0, 5));
    }

    public function test_a_plan_that_holds_is_left_alone(): void
    {
        $plan = [['l0', 'l1'], ['l2', 'l3'], ['l4', 'l5']];
        $mended = PlanMender::mend(self::lessons(), [105.0, 105.0, 105.0], $plan, 1, ['l0', 'l1']);
        self::assertSame([$plan, [], []], [$mended->sessions, $mended->left, $mended->moved]);
    }

    public function test_what_was_not_taught_comes_again_and_only_what_must_moves(): void
    {
        // The second session was cancelled: four sessions, the last two had room.
        $plan = [['l0', 'l1'], ['l2', 'l3'], ['l4'], ['l5']];
        $mended = PlanMender::mend(self::lessons(), [105.0, 105.0, 105.0, 105.0], $plan, 2, ['l0', 'l1']);
        self::assertSame([['l0', 'l1'], [], ['l2', 'l3'], ['l4', 'l5']], $mended->sessions);
        self::assertSame([['l4'], []], [$mended->moved, $mended->left]);
        $short = PlanMender::mend(self::lessons(), [105.0, 105.0, 105.0], [['l0', 'l1'], ['l2', 'l3'], ['l4', 'l5']], 2, ['l0', 'l1']);
        self::assertSame([['l2', 'l3'], ['l4', 'l5']], [$short->sessions[2], $short->left], 'what has no room any more is said');
        self::assertSame(['l4', 'l5'], $short->moved);
    }

    /** On random plans spoiled at random: the mended one holds, what was taught stays, and no single moved lesson could have stayed alone. */
    public function test_random_plans_are_mended_soundly(): void
    {
        mt_srand(31);
        for ($round = 0; $round < 80; $round++) {
            $lessons = [];
            for ($i = 0; $i < 12; $i++) {
                $lessons[] = ['id' => "l$i", 'minutes' => (float) mt_rand(15, 60), 'needs' => array_values(array_filter(array_map(fn (int $j): string => "l$j", range(0, max(0, $i - 1))), fn (string $n): bool => $n !== "l$i" && mt_rand(0, 5) === 0))];
            }
            $sessions = array_fill(0, 8, 110.0);
            $plan = CourseLayout::of($lessons, $sessions)->sessions;
            $begun = mt_rand(0, 3);
            $taught = array_values(array_filter(array_merge([], ...array_slice($plan, 0, $begun)), fn (): bool => mt_rand(0, 3) > 0));
            // What stands on something untaught was not taught either.
            $needs = array_column($lessons, 'needs', 'id');
            $taught = array_values(array_filter($taught, fn (string $id): bool => array_diff($needs[$id], $taught) === []));
            $mended = PlanMender::mend($lessons, $sessions, $plan, $begun, $taught);
            self::assertEqualsCanonicalizing(array_column($lessons, 'id'), [...array_merge(...$mended->sessions), ...$mended->left]);
            self::assertSame([], array_filter(PlanReview::of($lessons, $mended->sessions, $sessions), fn (array $p): bool => $p['session'] >= $begun && ! in_array($p['needs'], $mended->left, true)));
            for ($k = 0; $k < $begun; $k++) {
                self::assertSame(array_values(array_intersect($plan[$k], $taught)), $mended->sessions[$k]);
            }
            $stood = [];
            foreach (array_slice($plan, $begun, null, true) as $k => $ids) {
                $stood += array_fill_keys($ids, $k);
            }
            foreach ($mended->sessions as $k => $ids) {
                foreach ($ids as $id) {
                    self::assertSame(isset($stood[$id]) && $stood[$id] !== $k, in_array($id, $mended->moved, true));
                }
            }
        }
    }

    /** Against every way to put seven lessons into three sessions: no fewer could have moved. */
    public function test_the_fewest_lessons_move(): void
    {
        mt_srand(8);
        $proven = 0;
        for ($round = 0; $round < 60; $round++) {
            $lessons = [];
            for ($i = 0; $i < 7; $i++) {
                $lessons[] = ['id' => "l$i", 'minutes' => (float) mt_rand(15, 45), 'needs' => array_values(array_filter(array_map(fn (int $j): string => "l$j", range(0, max(0, $i - 1))), fn (string $n): bool => $n !== "l$i" && mt_rand(0, 4) === 0))];
            }
            $rooms = [90.0, 100.0, 110.0];
            // Where each stands is drawn by lot: full sessions and broken orders alike.
            $plan = [[], [], []];
            foreach ($lessons as $l) {
                $plan[mt_rand(0, 2)][] = $l['id'];
            }
            $mended = PlanMender::mend($lessons, $rooms, $plan, 0, []);
            $fewest = PHP_INT_MAX;
            for ($way = 0; $way < 3 ** 7; $way++) {
                $laid = [[], [], []];
                $moved = 0;
                for ($i = 0, $w = $way; $i < 7; $i++, $w = intdiv($w, 3)) {
                    $laid[$w % 3][] = "l$i";
                    $moved += in_array("l$i", $plan[$w % 3], true) ? 0 : 1;
                }
                if ($moved < $fewest && PlanReview::of($lessons, $laid, $rooms) === []) {
                    $fewest = $moved;
                }
            }
            if ($fewest === PHP_INT_MAX) {
                self::assertNotSame([], $mended->left);

                continue;
            }
            self::assertSame([], $mended->left);
            self::assertGreaterThanOrEqual($fewest, count($mended->moved));
            if ($mended->fewest) {
                self::assertCount($fewest, $mended->moved, "round $round");
                $proven++;
            }
        }
        self::assertGreaterThan(40, $proven);
    }

    public function test_what_is_sewn_at_home_stays_at_home(): void
    {
        $wishes = new PlanWishes(home: ['l2']);
        $mended = PlanMender::mend(self::lessons(), [105.0, 105.0, 105.0, 105.0], [['l0', 'l1'], ['l3', 'l4'], ['l5'], []], 1, ['l0'], $wishes);
        self::assertSame([['l0'], ['l1'], ['l3', 'l4'], ['l5']], $mended->sessions);
        self::assertSame([[], ['l2'], [], []], $mended->home);
        self::assertSame([], PlanReview::of(self::lessons(), $mended->sessions, array_fill(0, 4, 105.0), $mended->home, 1));
    }

    public function test_a_session_that_is_over_is_not_blamed(): void
    {
        self::assertCount(2, PlanReview::of(self::lessons(), [['l0', 'l1', 'l2'], ['l3', 'l4', 'l5']], [105.0, 105.0]));
        self::assertSame([1], array_column(PlanReview::of(self::lessons(), [['l0', 'l1', 'l2'], ['l3', 'l4', 'l5']], [105.0, 105.0], over: 1), 'session'));
    }
}
