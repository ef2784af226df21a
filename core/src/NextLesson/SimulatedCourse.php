<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use DateTimeImmutable;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\Learner;
use OpenSeam\Core\Skill\SkillGraph;

/**
 * A simulated learner walks through a course: as the ladder says, or every
 * lesson so many times whatever was shown. Sessions are a week apart.
 */
final class SimulatedCourse
{
    /** A course that takes longer has got stuck. */
    public const MOST_SAMPLES = 400;

    /** Of sewing in a session; common practice, no source. */
    private const MINUTES_A_SESSION = 110.0;

    /** @var list<PastSample> */
    public array $samples = [];

    /** Minutes of the student: demonstrations, sewing, looking. */
    public float $minutes = 0.0;

    /** @var array<string, true> lessons that were demonstrated */
    private array $shown = [];

    /**
     * @param  array<string, Option>  $lessons
     * @param  list<string>  $order
     * @param  int  $showings  checks of each skill in a sample
     */
    public function __construct(
        private readonly SkillGraph $skills,
        private readonly array $lessons,
        private readonly array $order,
        public readonly Learner $learner,
        private readonly DateTimeImmutable $from,
        private readonly int $showings = 2,
    ) {}

    /**
     * As the ladder says, until the course is done.
     *
     * @param  callable(Learner): array<string, bool>|null  $word  the teacher's own word by skill, where the school goes by it
     * @return bool whether it was done
     */
    public function follow(Ladder $ladder, ?callable $word = null): bool
    {
        while (count($this->samples) < self::MOST_SAMPLES) {
            $advice = $ladder->advise($this->samples, $this->now(), [], $word === null ? [] : $word($this->learner));
            if ($advice->lesson === null || $advice->kind === Kind::Enrich || ! in_array($advice->lesson, $this->order, true)) {
                return true;
            }
            if ($advice->step === Escalation::ShowAgain) {
                $this->learner->watch(...($advice->drill === null ? $this->lessons[$advice->lesson]->teaches : [$advice->drill->skill]));
                $this->minutes += $this->lessons[$advice->lesson]->minutes - $this->lessons[$advice->lesson]->againMinutes;
            }
            $this->sew($advice->lesson, $advice->drill);
        }

        return false;
    }

    /** Every lesson of the course in order, each so many times. */
    public function inOrder(int $times): void
    {
        foreach ($this->order as $lesson) {
            for ($i = 0; $i < $times; $i++) {
                $this->sew($lesson);
            }
        }
    }

    /**
     * Lessons in order, each until a sample of it is good.
     *
     * @param  int  $most  samples in all
     * @param  int  $done  lessons done before
     * @return int lessons done then
     */
    public function untilGood(int $most, int $done = 0): int
    {
        for (; $done < count($this->order); $done++) {
            $lesson = $this->order[$done];
            do {
                if (count($this->samples) >= $most) {
                    return $done;
                }
            } while (! $this->sew($lesson));
        }

        return $done;
    }

    /** Lessons in order, each until so many samples of it were good one after the other. */
    public function untilGoodInARow(int $times): void
    {
        foreach ($this->order as $lesson) {
            for ($row = 0; $row < $times && count($this->samples) < self::MOST_SAMPLES;) {
                $row = $this->sew($lesson) ? $row + 1 : 0;
            }
        }
    }

    /**
     * Any lesson by lot whose needs were each shown well once, until every lesson was.
     *
     * @param  callable(int): int  $lot  a number from 0 to below this
     */
    public function atRandom(callable $lot): void
    {
        $good = [];
        while (count($this->samples) < self::MOST_SAMPLES) {
            $ready = array_values(array_filter($this->order, fn (string $l): bool => ! isset($good[$l]) && array_filter($this->skills->below($this->lessons[$l]->teaches), fn (string $s): bool => $this->isToCome($s, $good)) === []));
            if ($ready === []) {
                return;
            }
            $lesson = $ready[$lot(count($ready))];
            if ($this->sew($lesson)) {
                $good[$lesson] = true;
            }
        }
    }

    /** @param  array<string, true>  $good */
    private function isToCome(string $skill, array $good): bool
    {
        $teach = array_filter($this->order, fn (string $l): bool => in_array($skill, $this->lessons[$l]->teaches, true));

        return $teach !== [] && array_filter($teach, fn (string $l): bool => isset($good[$l])) === [];
    }

    /** @return list<string> skills that the course teaches */
    public function taught(): array
    {
        return array_values(array_unique(array_merge(...array_map(fn (string $l): array => $this->lessons[$l]->teaches, $this->order))));
    }

    /** Share of the course's skills that the learner has now. */
    public function known(): float
    {
        $taught = $this->taught();

        return count(array_filter($taught, $this->learner->knows(...))) / max(1, count($taught));
    }

    /** @return bool whether all was shown right */
    private function sew(string $lesson, ?Drill $drill = null): bool
    {
        $option = $this->lessons[$lesson];
        $skills = $drill === null ? $option->teaches : [$drill->skill];
        $this->minutes += match (true) {
            ! isset($this->shown[$lesson]) => $option->minutes,
            $drill !== null => $drill->minutes,
            default => $option->againMinutes,
        };
        if (! isset($this->shown[$lesson])) {
            $this->shown[$lesson] = true;
            $this->learner->watch(...$option->teaches);
        }
        $at = $this->now();
        $weights = $this->learner->sew($skills, $at, $this->showings, $uses = $this->skills->below($skills));
        $findings = [];
        foreach ($weights as $skill => $shown) {
            $right = ! in_array(0.0, $shown, true);
            $verdict = $right ? Verdict::Met : Verdict::NotYet;
            $findings[] = new Finding("$lesson.$skill", $this->skills->get($skill)->title, $verdict->value, $verdict, [$skill], $right ? null : 'low');
        }
        $this->samples[] = new PastSample($lesson, new Evidence('sample '.(count($this->samples) + 1), $at, $weights, $uses), $findings);

        return array_filter($weights, fn (array $w): bool => in_array(0.0, $w, true)) === [];
    }

    private function now(): DateTimeImmutable
    {
        $week = (int) floor($this->minutes / self::MINUTES_A_SESSION);

        return $this->from->modify(sprintf('+%d days +%d minutes', 7 * $week, (int) ($this->minutes - $week * self::MINUTES_A_SESSION)));
    }
}
