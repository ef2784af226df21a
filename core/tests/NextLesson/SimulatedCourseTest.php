<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\NextLesson;

use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Tests\Support\SimulatedClass;
use PHPUnit\Framework\TestCase;

/** Simulated learners in the shipped course: a few here, five hundred beside the general solver. */
final class SimulatedCourseTest extends TestCase
{
    public function test_a_fixed_order_is_a_fixed_number_of_samples(): void
    {
        $course = SimulatedClass::course(3);
        $course->inOrder(2);
        self::assertSame(array_merge(...array_map(fn (string $l): array => [$l, $l], Fixtures::order())), array_map(fn (PastSample $s): string => $s->lesson, $course->samples));
        self::assertGreaterThan(0.0, $course->known());
        self::assertLessThanOrEqual(1.0, $course->known());
    }

    public function test_until_good_counts_the_lessons_that_are_done(): void
    {
        $course = SimulatedClass::course(5, 1);
        $done = $course->untilGood(6);
        self::assertLessThanOrEqual(6, count($course->samples));
        self::assertSame(count(Fixtures::order()), $course->untilGood(400, $done));
        $lessons = array_map(fn (PastSample $s): string => $s->lesson, $course->samples);
        self::assertSame(Fixtures::order(), array_values(array_unique($lessons)), 'in order, none left out');
        $last = $course->samples[count($course->samples) - 1];
        self::assertNull($last->worst(), 'the last sample was good');
    }

    /** The ladder brings a few learners to the end, whatever the school, and never lets a first lesson come before its needs. */
    public function test_the_ladder_brings_learners_to_the_end(): void
    {
        foreach (School::cases() as $school) {
            $run = SimulatedClass::followed($school, 6);
            self::assertSame(6, $run['finished'], $school->value);
            self::assertGreaterThan(0.8, $run['known'], $school->value);
            self::assertGreaterThanOrEqual(count(Fixtures::order()), $run['samples']);
        }
        // More of the same leaves more skill.
        self::assertGreaterThan(SimulatedClass::inOrder(1, 20)['known'], SimulatedClass::inOrder(8, 20)['known']);
    }
}
