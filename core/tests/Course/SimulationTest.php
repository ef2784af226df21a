<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use OpenSeam\Core\Course\ClassMinutes;
use OpenSeam\Core\Course\LessonMinutes;
use OpenSeam\Core\Course\Planning\CourseLayout;
use OpenSeam\Core\Course\PlanReview;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

/** Planning against ways of working it out that share nothing with it. */
final class SimulationTest extends TestCase
{
    /** Minute by minute: everybody sews, waits to be looked at, is looked at. */
    private static function byTheMinute(int $students, int $places, int $helpers, LessonMinutes $lesson): int
    {
        $queue = 0;
        $done = 0;
        $eyes = array_fill(0, 1 + $helpers, 0);
        for ($minute = (int) $lesson->demo; $minute < 100_000; $minute++) {
            $sewn = (int) min($students, intdiv($minute - (int) $lesson->demo, (int) $lesson->sew) * $places);
            foreach ($eyes as &$left) {
                if ($left > 0 && --$left === 0) {
                    $done++;
                }
                if ($left === 0 && $queue < $sewn) {
                    $queue++;
                    $left = (int) $lesson->inspect;
                }
            }
            unset($left);
            if ($done === $students) {
                return $minute;
            }
        }

        return -1;
    }

    public function test_class_minutes_equal_a_simulation(): void
    {
        mt_srand(17);
        for ($i = 0; $i < 200; $i++) {
            [$n, $places, $helpers] = [mt_rand(1, 24), mt_rand(1, 12), mt_rand(0, 3)];
            $lesson = new LessonMinutes(mt_rand(0, 20), mt_rand(1, 25), mt_rand(1, 8));
            self::assertSame((float) self::byTheMinute($n, $places, $helpers, $lesson), ClassMinutes::of($n, $places, $helpers, $lesson)->minutes, "$n students, $places places, $helpers helpers, ".json_encode($lesson));
        }
    }

    public function test_the_spans_are_whole_and_in_order(): void
    {
        $class = ClassMinutes::of(10, 4, 1, new LessonMinutes(5, 12, 3));
        $sew = array_values(array_filter($class->spans, fn (array $s): bool => $s['kind'] === 'sew'));
        self::assertSame([[5.0, 17.0], [17.0, 29.0], [29.0, 41.0]], array_map(fn (array $s): array => [$s['from'], $s['to']], $sew));
        self::assertSame($class->minutes, max(array_column($class->spans, 'to')));
        foreach (array_filter($class->spans, fn (array $s): bool => $s['kind'] === 'look') as $look) {
            self::assertGreaterThanOrEqual($sew[$look['round'] - 1]['to'], $look['from'], 'nobody is looked at before they have sewn');
        }
    }

    /** What a lesson needs, by the definition: each skill below it is taught somewhere before it. */
    public function test_needs_cover_every_skill_below(): void
    {
        $bundle = Fixtures::bundle();
        foreach (Fixtures::order() as $id) {
            $taught = array_merge([], ...array_map(fn (string $need): array => $bundle->lesson($need)->teaches, $bundle->needs($id, Fixtures::order())));
            foreach ($bundle->skills->below($bundle->lesson($id)->teaches) as $skill) {
                self::assertContains($skill, $taught, "$id stands on $skill");
            }
            self::assertNotContains($id, $bundle->needs($id, Fixtures::order()));
        }
    }

    /** On random courses: what is laid keeps the order and the minutes, and what is left really had no room. */
    public function test_random_courses_are_laid_soundly(): void
    {
        mt_srand(23);
        for ($round = 0; $round < 150; $round++) {
            $lessons = [];
            for ($i = 0; $i < 12; $i++) {
                $needs = array_values(array_filter(array_map(fn (int $j): string => "l$j", $i === 0 ? [] : range(0, $i - 1)), fn (): bool => mt_rand(0, 5) === 0));
                $lessons[] = ['id' => "l$i", 'minutes' => (float) mt_rand(10, 60), 'needs' => $needs];
            }
            $sessions = array_map(fn (): float => (float) mt_rand(50, 120), range(1, mt_rand(2, 8)));
            $laid = CourseLayout::of($lessons, $sessions);
            self::assertEqualsCanonicalizing(array_column($lessons, 'id'), [...array_merge([], ...$laid->sessions), ...$laid->left]);
            self::assertSame([], PlanReview::of($lessons, $laid->sessions, $sessions));
            $minutes = array_column($lessons, 'minutes', 'id');
            foreach ($laid->left as $id) {
                $needs = array_column($lessons, 'needs', 'id')[$id];
                if (array_intersect($needs, $laid->left) !== []) {
                    continue;
                }
                $earliest = max([0, ...array_map(fn (string $n): int => array_key_first(array_filter($laid->sessions, fn (array $s): bool => in_array($n, $s, true))) ?? 0, $needs)]);
                foreach (array_slice($laid->sessions, $earliest, null, true) as $s => $ids) {
                    self::assertLessThan($minutes[$id], $sessions[$s] - array_sum(array_map(fn (string $x): float => $minutes[$x], $ids)) + 0.0, "$id would have fitted");
                }
            }
        }
    }
}
