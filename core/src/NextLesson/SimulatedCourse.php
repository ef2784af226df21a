<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use DateTimeImmutable;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\SimulatedLearner;
use OpenSeam\Core\Skill\SkillGraph;

/**
 * A simulated learner walks through a course: as the ladder says, or every
 * lesson so many times whatever was shown. Sessions are a week apart.
 */
final class SimulatedCourse
{
    /** A course that takes longer has got stuck. */
    public const MOST_SAMPLES = 400;

    private const SAMPLES_A_SESSION = 6;

    /** @var list<PastSample> */
    public array $samples = [];

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
        private readonly SimulatedLearner $learner,
        private readonly DateTimeImmutable $from,
        private readonly int $showings = 2,
    ) {}

    /**
     * As the ladder says, until the course is done.
     *
     * @param  callable(SimulatedLearner): array<string, bool>|null  $word  the teacher's own word by skill, where the school goes by it
     * @return bool whether it was done
     */
    public function follow(Ladder $ladder, ?callable $word = null): bool
    {
        while (count($this->samples) < self::MOST_SAMPLES) {
            $advice = $ladder->advise($this->samples, $this->now(), [], $word === null ? [] : $word($this->learner));
            if ($advice->lesson === null || $advice->kind === Kind::Enrich || ! in_array($advice->lesson, $this->order, true)) {
                return true;
            }
            $this->sew($advice->lesson, $advice->drill === null ? $this->lessons[$advice->lesson]->teaches : [$advice->drill->skill]);
        }

        return false;
    }

    /** Every lesson of the course in order, each so many times. */
    public function inOrder(int $times): void
    {
        foreach ($this->order as $lesson) {
            for ($i = 0; $i < $times; $i++) {
                $this->sew($lesson, $this->lessons[$lesson]->teaches);
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
            } while (! $this->sew($lesson, $this->lessons[$lesson]->teaches));
        }

        return $done;
    }

    /** Share of the course's skills that the learner has now. */
    public function known(): float
    {
        $taught = [];
        foreach ($this->order as $lesson) {
            $taught += array_fill_keys($this->lessons[$lesson]->teaches, true);
        }

        return count(array_filter(array_keys($taught), fn (string $s): bool => $this->learner->knows($s))) / max(1, count($taught));
    }

    /**
     * @param  list<string>  $skills
     * @return bool whether all was shown right
     */
    private function sew(string $lesson, array $skills): bool
    {
        if (! isset($this->shown[$lesson])) {
            $this->shown[$lesson] = true;
            $this->learner->watch(...$this->lessons[$lesson]->teaches);
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
        $n = count($this->samples);

        return $this->from->modify(sprintf('+%d days +%d minutes', 7 * intdiv($n, self::SAMPLES_A_SESSION), 20 * ($n % self::SAMPLES_A_SESSION)));
    }
}
