<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Solver;

use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\FinishForecast;
use OpenSeam\Core\Skill\LessonsToCome;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Tests\Support\SimulatedClass;
use PHPUnit\Framework\TestCase;

/** The next lesson and the forecast, held against learners whose skills are known; half a minute, and so beside the general solver. */
final class SimulatedClassTest extends TestCase
{
    /** 500 learners: at least a fifth fewer samples than any fixed number of each lesson that leaves as much skill. */
    public function test_the_ladder_takes_fewer_samples_than_a_fixed_order(): void
    {
        $ladder = SimulatedClass::followed(School::Tracing, 500);
        self::assertSame(500, $ladder['finished']);
        $before = ['samples' => 0.0, 'known' => 0.0];
        for ($times = 1; $times <= 30; $times++) {
            $fixed = SimulatedClass::inOrder($times, 500);
            if ($fixed['known'] >= $ladder['known']) {
                // Between two numbers of times, as much as it takes for the same skill.
                $share = ($ladder['known'] - $before['known']) / max(1e-9, $fixed['known'] - $before['known']);
                $takes = $before['samples'] + $share * ($fixed['samples'] - $before['samples']);
                self::assertLessThanOrEqual(0.8 * $takes, $ladder['samples']);

                return;
            }
            $before = $fixed;
        }
        self::assertLessThanOrEqual(0.8 * $before['samples'], $ladder['samples'], 'no fixed order came that far');
    }

    /** Forecasts in the middle of the course: of those given 80 %, 75 to 85 % finish; and what is given more comes more often. */
    public function test_the_forecast_holds_what_it_says(): void
    {
        $bundle = Fixtures::bundle();
        $table = TracingTable::of($bundle->skills);
        $book = new StandingLedger($table);
        $come = new LessonsToCome($table, $bundle->skills);
        $lessons = Option::all($bundle->lessons);
        $given = [];
        for ($i = 0; $i < 4000; $i++) {
            $course = SimulatedClass::course($i, 1, 0.2);
            [$sewn, $more] = [6 + $i % 12, 8 + ($i * 7) % 26];
            $done = $course->untilGood($sewn);
            if ($done === count(Fixtures::order())) {
                continue;
            }
            $last = $course->samples[count($course->samples) - 1]->evidence->at;
            $known = array_map(fn (Standing $s): float => $s->faded, $book->standings(array_map(fn (PastSample $s): Evidence => $s->evidence, $course->samples), $last));
            $left = array_slice(Fixtures::order(), $done);
            $tried = array_map(fn (PastSample $s): string => $s->lesson, $course->samples);
            $chance = FinishForecast::of($come->of(array_map(fn (string $l): array => $lessons[$l]->teaches, $left), $known, array_map(fn (string $l): bool => in_array($l, $tried, true), $left)), [$more])->chance();
            $given[(int) round(10 * $chance)][] = $course->untilGood($sewn + $more, $done) === count(Fixtures::order()) ? 1.0 : 0.0;
        }
        $share = array_map(fn (array $g): float => array_sum($g) / count($g), $given);
        self::assertGreaterThan(200, count($given[8]));
        self::assertEqualsWithDelta(0.8, $share[8], 0.05);
        self::assertLessThan(0.15, $share[0]);
        self::assertGreaterThan(0.9, $share[10]);
        self::assertLessThan($share[8], $share[5]);
        self::assertLessThan($share[5], $share[2]);
    }
}
