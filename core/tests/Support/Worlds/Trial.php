<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support\Worlds;

use DateTimeImmutable;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\NextLesson\SimulatedCourse;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\LearningWays;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;

/**
 * A class of made-up learners in one world, taught by one rule: what it took, what they have at the end, and
 * how far what the program said of them was true.
 */
final class Trial
{
    /** Required checks of a skill in a sample. */
    private const CHECKS = 2;

    private const IN_A_CLASS = 10;

    public float $minutes = 0.0;

    public float $samples = 0.0;

    /** Share of the course's skills that are there at the end. */
    public float $known = 0.0;

    public int $sure = 0;

    /** Called sure at the end, and not there. */
    public int $falselySure = 0;

    public int $finished = 0;

    private float $squares = 0.0;

    private float $right = 0.0;

    private int $foretold = 0;

    private readonly LearningWays $ways;

    private function __construct(public readonly World $world, private readonly TracingTable $table)
    {
        $this->ways = LearningWays::of(Fixtures::bundle()->skills, $table);
    }

    /** @param  callable(SimulatedCourse, int): bool  $teach */
    public static function of(World $world, callable $teach, int $learners, string $course = 'stitches-first', ?TracingTable $table = null): self
    {
        $bundle = Fixtures::bundle();
        $trial = new self($world, $table ?? TracingTable::of($bundle->skills));
        for ($i = 0; $i < $learners; $i++) {
            $sewn = self::course($world, $i, $course);
            $trial->finished += $teach($sewn, $i) ? 1 : 0;
            $trial->add($sewn, 1 / $learners);
        }

        return $trial;
    }

    public static function course(World $world, int $learner, string $course = 'stitches-first'): SimulatedCourse
    {
        $bundle = Fixtures::bundle();

        return new SimulatedCourse($bundle->skills, Option::all($bundle->lessons), $bundle->courses[$course]['lessons'], $world->learner($bundle->skills, $learner), new DateTimeImmutable('2030-05-02 18:30 UTC'), self::CHECKS);
    }

    public static function ladder(string $course = 'stitches-first'): Ladder
    {
        $bundle = Fixtures::bundle();

        return new Ladder($bundle->skills, Option::all($bundle->lessons), $bundle->courses[$course]['lessons'], Words::in());
    }

    /** Of skills called sure at the end, the share that is not there. */
    public function falseSure(): float
    {
        return $this->falselySure / max(1, $this->sure);
    }

    /** Mean squared error of the chance that the next showing is good (Brier 1950), of each sample's skills. */
    public function brier(): float
    {
        return $this->squares / max(1, $this->foretold);
    }

    /** The same of whoever says the share of good ones each time. */
    public function baseRate(): float
    {
        $share = $this->right / max(1, $this->foretold);

        return $share * (1 - $share);
    }

    private function add(SimulatedCourse $sewn, float $part): void
    {
        $this->minutes += $part * $sewn->minutes;
        $this->samples += $part * count($sewn->samples);
        $this->known += $part * $sewn->known();
        $book = new StandingLedger($this->table);
        $evidence = array_map(fn (PastSample $s): Evidence => $s->evidence, $sewn->samples);
        foreach ($this->ways->foretold($evidence) as ['chance' => $chance, 'shown' => $shown]) {
            $good = $shown >= Standing::GOOD_SHOWING ? 1.0 : 0.0;
            $this->squares += ($chance - $good) ** 2;
            $this->right += $good;
            $this->foretold++;
        }
        $taught = array_flip($sewn->taught());
        foreach ($book->standings($evidence, $evidence[count($evidence) - 1]->at) as $skill => $standing) {
            if (isset($taught[$skill]) && $standing->isSure(School::Tracing)) {
                $this->sure++;
                $this->falselySure += $sewn->learner->knows((string) $skill) ? 0 : 1;
            }
        }
    }

    /**
     * Forecasts in the middle of the course, each lesson until it is good: of those given 75 to 85 %, the share that
     * came true, and how many there were.
     *
     * @return array{share: float, count: int, mean: float}
     */
    public static function forecasts(World $world, int $learners, ?TracingTable $table = null, string $course = 'stitches-first'): array
    {
        $bundle = Fixtures::bundle();
        $ways = LearningWays::of($bundle->skills, $table ?? TracingTable::of($bundle->skills));
        $lessons = Option::all($bundle->lessons);
        $order = $bundle->courses[$course]['lessons'];
        [$true, $count, $mean] = [0, 0, 0.0];
        for ($class = 0; $class < $learners / self::IN_A_CLASS; $class++) {
            [$first, $more] = [4 + ($class * 5) % 30, 4 + ($class * 7) % 24];
            $all = array_map(fn (int $i): SimulatedCourse => self::course($world, $class * self::IN_A_CLASS + $i, $course), range(0, self::IN_A_CLASS - 1));
            $done = array_map(fn (SimulatedCourse $sewn): int => $sewn->untilGood($first), $all);
            $shown = array_map(fn (SimulatedCourse $sewn): array => array_map(fn (PastSample $s): Evidence => $s->evidence, $sewn->samples), $all);
            $together = $ways->ofClass($shown);
            foreach ($all as $i => $sewn) {
                if ($done[$i] === count($order)) {
                    continue;
                }
                $left = array_slice($order, $done[$i]);
                $tried = array_map(fn (PastSample $s): string => $s->lesson, $sewn->samples);
                $forecast = $ways->forecast($shown[$i], $shown[$i][$first - 1]->at, array_map(fn (string $l): array => $lessons[$l]->teaches, $left), array_map(fn (string $l): bool => in_array($l, $tried, true), $left), [$more], $together);
                $then = $sewn->untilGood($first + $more, $done[$i]) - $done[$i];
                foreach ($forecast->done[0] as $n => $chance) {
                    if ($n > 0 && $chance >= 0.75 && $chance <= 0.85) {
                        $true += $then >= $n ? 1 : 0;
                        $mean += $chance;
                        $count++;
                    }
                }
            }
        }

        return ['share' => $true / max(1, $count), 'count' => $count, 'mean' => $mean / max(1, $count)];
    }
}
