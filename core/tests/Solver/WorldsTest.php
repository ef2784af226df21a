<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Solver;

use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\NextLesson\SimulatedCourse;
use OpenSeam\Core\Tests\Support\Worlds\Trial;
use OpenSeam\Core\Tests\Support\Worlds\World;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The shipped numbers in worlds that are not the model, beside "two good in a row"; the long run of it is
 * ./seam bench learners. Half a minute, and so beside the general solver.
 */
final class WorldsTest extends TestCase
{
    private const LEARNERS = 24;

    /** @return iterable<string, array{World, float, float, float}> share of skills it may leave behind, and at most so many samples and so much falsely sure */
    public static function worlds(): iterable
    {
        foreach (World::cases() as $world) {
            // Who learns slowly, forgets, and never simply knows needs more of everything than either rule gives: see the README.
            yield $world->value => $world === World::SlowPower ? [$world, 0.16, 1.1, 0.26] : [$world, 0.045, 1.05, 0.08];
        }
    }

    #[DataProvider('worlds')]
    public function test_the_ladder_beside_two_good_in_a_row(World $world, float $behind, float $samples, float $false): void
    {
        $ladder = Trial::of($world, fn (SimulatedCourse $c): bool => $c->follow(Trial::ladder()), self::LEARNERS);
        $two = Trial::of($world, function (SimulatedCourse $c): bool {
            $c->untilGoodInARow(2);

            return true;
        }, self::LEARNERS);
        self::assertGreaterThanOrEqual($two->known - $behind, $ladder->known);
        self::assertLessThanOrEqual($samples * $two->samples, $ladder->samples);
        self::assertLessThanOrEqual(0.85 * $two->minutes, $ladder->minutes);
        self::assertLessThanOrEqual($false, $ladder->falseSure());
        self::assertLessThan($ladder->baseRate(), $ladder->brier());
        // Every lesson once is less, and leaves less.
        $once = Trial::of($world, function (SimulatedCourse $c): bool {
            $c->inOrder(1);

            return true;
        }, self::LEARNERS);
        self::assertLessThanOrEqual($ladder->known, $once->known);
        self::assertLessThan($ladder->samples, $once->samples);
    }

    /** Of forecasts of 75 to 85 %, in a class, in the middle of the course. */
    public function test_forecasts_hold_in_worlds_they_were_not_made_for(): void
    {
        foreach (World::cases() as $world) {
            $f = Trial::forecasts($world, 400);
            self::assertGreaterThan(150, $f['count'], $world->value);
            self::assertGreaterThanOrEqual(0.69, $f['share'], $world->value);
            // Whoever gets better with every sample is more even than any two states: such forecasts are too careful.
            self::assertLessThanOrEqual($world === World::SteepPower ? 0.97 : 0.91, $f['share'], $world->value);
        }
    }

    /** Lessons outside the course teach some of its skills too: a gap is closed by the course's own exercises, and the end is its end. */
    public function test_a_course_does_not_leave_itself(): void
    {
        foreach ([World::TwoStates, World::SlowPower] as $world) {
            for ($learner = 0; $learner < 6; $learner++) {
                $course = Trial::course($world, $learner);
                $done = $course->follow(Trial::ladder());
                $last = $course->samples[count($course->samples) - 1];
                $advice = Trial::ladder()->advise($course->samples, $last->evidence->at->modify('+1 hour'));
                self::assertTrue(! $done || $advice->kind === Kind::Enrich, "{$world->value}, $learner: {$advice->kind->value} {$advice->lesson}");
            }
        }
    }
}
