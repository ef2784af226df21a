<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use DateTimeImmutable;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\NextLesson\SimulatedCourse;
use OpenSeam\Core\Skill\Learner;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\SimulatedLearner;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Words;

/** Simulated learners in the shipped first course, each slower or quicker than the next. */
final class SimulatedClass
{
    public static function course(int $student, int $showings = 2, float $unlike = 0.4): SimulatedCourse
    {
        $bundle = Fixtures::bundle();
        $quick = 1 - $unlike + 2 * $unlike * (($student * 7919) % 100) / 100;

        return new SimulatedCourse(
            $bundle->skills, Option::all($bundle->lessons), Fixtures::order(),
            new SimulatedLearner($bundle->skills, TracingTable::of($bundle->skills), $student * 31 + 7, $quick), new DateTimeImmutable('2030-05-02 18:30 UTC'), $showings,
        );
    }

    /** @return array{samples: float, known: float, finished: int} means over so many learners, as the ladder says */
    public static function followed(School $school, int $students): array
    {
        $bundle = Fixtures::bundle();
        $ladder = new Ladder($bundle->skills, Option::all($bundle->lessons), Fixtures::order(), Words::in(), Policy::Gate, $school);
        // A teacher who sees through everybody: what no program can know.
        $word = $school !== School::TeachersWord ? null : fn (Learner $l): array => array_fill_keys(array_filter(array_map(strval(...), array_keys($bundle->skills->all())), $l->knows(...)), true);
        [$samples, $known, $finished] = [0, 0.0, 0];
        for ($i = 0; $i < $students; $i++) {
            $course = self::course($i, 1);
            $finished += $course->follow($ladder, $word) ? 1 : 0;
            $samples += count($course->samples);
            $known += $course->known();
        }

        return ['samples' => $samples / $students, 'known' => $known / $students, 'finished' => $finished];
    }

    /** @return array{samples: float, known: float} the same with every lesson so many times */
    public static function inOrder(int $times, int $students): array
    {
        $known = 0.0;
        for ($i = 0; $i < $students; $i++) {
            $course = self::course($i, 1);
            $course->inOrder($times);
            $known += $course->known();
        }

        return ['samples' => (float) ($times * count(Fixtures::order())), 'known' => $known / $students];
    }
}
