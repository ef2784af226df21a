<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use OpenSeam\Core\Course\ClassMinutes;
use OpenSeam\Core\Course\LessonMinutes;
use OpenSeam\Core\Course\Planning\CourseLayout;
use OpenSeam\Core\Course\PlanReview;
use OpenSeam\Core\Course\SessionFrame;
use OpenSeam\Core\Course\SessionTape;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

final class CourseTest extends TestCase
{
    public function test_one_student_takes_the_plain_sum(): void
    {
        $class = ClassMinutes::of(1, 1, 0, new LessonMinutes(10, 8, 3));
        self::assertSame([1, 21.0], [$class->rounds, $class->minutes]);
    }

    /** Ten students, eight machines, worked by hand: 10 + 8, then ten looks of 3 min on end. */
    public function test_looking_overlaps_the_next_round(): void
    {
        self::assertSame(48.0, ClassMinutes::of(10, 8, 0, new LessonMinutes(10, 8, 3))->minutes);
        // Sewing is what takes long: five rounds of one, the last look alone does not overlap.
        self::assertSame(5.0 + 5 * 20 + 2, ClassMinutes::of(5, 1, 0, new LessonMinutes(5, 20, 2))->minutes);
        self::assertSame(10.0 + 8 + 15, ClassMinutes::of(10, 8, 1, new LessonMinutes(10, 8, 3))->minutes);
    }

    /** Bounds that any way of running the lesson keeps. */
    public function test_never_below_what_is_needed(): void
    {
        mt_srand(3);
        for ($i = 0; $i < 300; $i++) {
            [$n, $places, $helpers] = [mt_rand(1, 30), mt_rand(1, 12), mt_rand(0, 3)];
            $lesson = new LessonMinutes(mt_rand(0, 20), mt_rand(1, 30), mt_rand(0, 9));
            $class = ClassMinutes::of($n, $places, $helpers, $lesson);
            self::assertSame((int) ceil($n / $places), $class->rounds);
            self::assertGreaterThanOrEqual($lesson->demo + $class->rounds * $lesson->sew + $lesson->inspect, $class->minutes);
            self::assertGreaterThanOrEqual($lesson->demo + $lesson->sew + ceil($n / (1 + $helpers)) * $lesson->inspect, $class->minutes);
            self::assertLessThanOrEqual($lesson->demo + $class->rounds * $lesson->sew + $n * $lesson->inspect, $class->minutes);
        }
    }

    /** @return list<array{id: string, minutes: float, needs: list<string>}> */
    private static function lessons(): array
    {
        return array_map(fn (string $id): array => [
            'id' => $id, 'minutes' => ClassMinutes::forLesson(Fixtures::bundle()->lesson($id), 10, 8, 0)->minutes, 'needs' => Fixtures::bundle()->needs($id, Fixtures::order()),
        ], Fixtures::order());
    }

    public function test_lays_the_course_in_an_order_that_holds(): void
    {
        foreach ([75.0, 105.0, 165.0, 400.0] as $usable) {
            $laid = CourseLayout::of(self::lessons(), array_fill(0, 12, $usable));
            self::assertSame([], $laid->left);
            self::assertTrue($laid->plan->proven);
            self::assertSame([], PlanReview::of(self::lessons(), $laid->sessions, array_fill(0, 12, $usable)));
            self::assertEqualsCanonicalizing(Fixtures::order(), array_merge(...$laid->sessions));
        }
    }

    public function test_says_what_finds_no_room(): void
    {
        $laid = CourseLayout::of(self::lessons(), [105.0, 105.0]);
        self::assertCount(2, $laid->sessions);
        self::assertContains('square-spiral', $laid->left);
        self::assertGreaterThan(2, $laid->plan->lowerBound, 'and says how many it takes');
        self::assertSame(self::lessons()[0]['id'], CourseLayout::of(self::lessons(), [10.0])->left[0]);
    }

    public function test_a_moved_lesson_breaks_what_stands_on_it(): void
    {
        $plan = [['first-seam', 'safe-seat'], ['wind-and-thread', 'needle-and-foot', 'paper-drive']];
        $problems = PlanReview::of(self::lessons(), $plan, [30.0, 500.0]);
        self::assertContains(['kind' => 'overfull', 'session' => 0, 'lesson' => null, 'needs' => null, 'over' => 53.0], $problems);
        self::assertContains('paper-drive', array_column(array_filter($problems, fn (array $p): bool => $p['lesson'] === 'first-seam'), 'needs'));
        self::assertNotContains('paper-drive', array_column($problems, 'lesson'));
    }

    public function test_the_fullest_session_is_told_by_its_share(): void
    {
        self::assertSame(0.75, PlanReview::fullest([60.0, 90.0, 0.0], [105.0, 120.0, 105.0]));
        self::assertSame(1.2, PlanReview::fullest([126.0], [105.0]));
        self::assertSame(0.0, PlanReview::fullest([], []));
        self::assertSame(0.0, PlanReview::fullest([10.0], [0.0]));
    }

    public function test_the_tape_covers_the_session(): void
    {
        $lesson = Fixtures::bundle()->lesson('guides');
        $frame = new SessionFrame(5.0, 10.0, 3, 20.0);
        foreach ([0 => ['settle', 'show'], 2 => ['settle', 'review', 'show']] as $session => $begins) {
            $tape = SessionTape::of(['guides' => ClassMinutes::forLesson($lesson, 10, 8, 0)], 120, $frame, $session);
            self::assertSame($begins, array_slice(array_column($tape, 'kind'), 0, count($begins)));
            self::assertSame(120.0, $tape[count($tape) - 1]['to']);
            $lessonMinutes = 0.0;
            foreach ($tape as $piece) {
                self::assertLessThanOrEqual($piece['to'], $piece['from']);
                $lessonMinutes += $piece['kind'] === 'free' ? $piece['to'] - $piece['from'] : 0.0;
            }
            self::assertEqualsWithDelta($frame->usable($session, 120), $lessonMinutes + ClassMinutes::forLesson($lesson, 10, 8, 0)->minutes, 1e-9, 'what lessons can use is used or free');
        }
        self::assertSame([0.0, 105.0, 85.0, 105.0], [$frame->usable(0, 10), $frame->usable(1, 120), $frame->usable(2, 120), $frame->usable(3, 120)]);
        self::assertSame(['show'], array_slice(array_column(SessionTape::of(['guides' => ClassMinutes::forLesson($lesson, 10, 8, 0)], 120, new SessionFrame(0.0, 0.0)), 'kind'), 0, 1), 'nothing is opened that is open');
    }

    public function test_a_slower_group_takes_its_time_in_every_part(): void
    {
        $usual = ClassMinutes::forLesson(Fixtures::bundle()->lesson('guides'), 10, 8, 0);
        $slow = $usual->paced(1.25);
        self::assertSame([$usual->rounds, 1.25 * $usual->minutes], [$slow->rounds, $slow->minutes]);
        foreach ($usual->spans as $i => $span) {
            self::assertSame([1.25 * $span['from'], 1.25 * $span['to']], [$slow->spans[$i]['from'], $slow->spans[$i]['to']]);
        }
    }
}
