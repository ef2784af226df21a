<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Skill\TracingTable;

/** What one student has shown so far. */
final class Record
{
    /** @var array<string, bool> */
    private array $sure = [];

    /** @var array<string, bool> */
    private array $enough = [];

    /** @var array<string, bool> */
    private array $ready = [];

    /** @var array<string, bool> */
    private array $passed = [];

    /** @var array<string, true> skills that some lesson teaches */
    private readonly array $taught;

    /** @var array<string, PastSample> the last sample by lesson */
    private readonly array $lastByLesson;

    /** @var array<string, PastSample> the last sample that touched a skill */
    private readonly array $lastBySkill;

    /**
     * @param  array<string, Option>  $lessons
     * @param  list<string>  $order
     * @param  list<PastSample>  $samples
     * @param  array<string, Standing>  $standings
     * @param  array<string, int>  $unlocks  how many lessons of the course stand on a skill
     */
    public function __construct(
        private readonly SkillGraph $skills,
        private readonly array $lessons,
        private readonly array $order,
        private readonly School $school,
        public readonly array $samples,
        public readonly array $standings,
        private readonly TracingTable $table,
        private readonly array $unlocks,
    ) {
        $taught = [];
        foreach ($lessons as $lesson) {
            $taught += array_fill_keys($lesson->teaches, true);
        }
        $this->taught = $taught;
        $byLesson = [];
        $bySkill = [];
        foreach ($samples as $sample) {
            $byLesson[$sample->lesson] = $sample;
            foreach ($sample->evidence->skills() as $skill) {
                $bySkill[$skill] = $sample;
            }
        }
        $this->lastByLesson = $byLesson;
        $this->lastBySkill = $bySkill;
    }

    public function isSure(string $skill): bool
    {
        return $this->sure[$skill] ??= isset($this->standings[$skill]) && $this->standings[$skill]->isSure($this->school);
    }

    /** Good enough for what stands on it: sure, or shown well and likely known. */
    public function isEnough(string $skill): bool
    {
        return $this->enough[$skill] ??= isset($this->standings[$skill]) && $this->standings[$skill]->isEnough($this->school);
    }

    public function isTaught(string $skill): bool
    {
        return isset($this->taught[$skill]);
    }

    public function isTried(string $lesson): bool
    {
        return $this->lastSample($lesson) !== null;
    }

    /** All the lesson stands on, beyond what it teaches itself, is good enough to go on. */
    public function isReady(string $lesson): bool
    {
        return $this->ready[$lesson] ??= $this->skills->stands($this->lessons[$lesson]->teaches, fn (string $s): bool => $this->isEnough($s) || ! $this->isTaught($s));
    }

    /** The deepest skill below a lesson that is taught somewhere and not good enough to go on. */
    public function rootGap(string $lesson): ?string
    {
        return $this->skills->rootGap($this->lessons[$lesson]->teaches, fn (string $s): bool => $this->isEnough($s) || ! $this->isTaught($s));
    }

    /**
     * Every skill it teaches is good enough to go on, and the last sample that touched
     * it left nothing required of it missed or open.
     */
    public function isPassed(string $lesson): bool
    {
        return $this->passed[$lesson] ??= $this->passes($lesson);
    }

    private function passes(string $lesson): bool
    {
        foreach ($this->lessons[$lesson]->teaches as $skill) {
            $worst = $this->lastShowing($skill)?->worst($skill)?->verdict;
            if (! $this->isEnough($skill) || $worst === Verdict::NotYet || $worst === Verdict::Unsure || $this->isWeak($skill)) {
                return false;
            }
        }

        return true;
    }

    /** Not sure, and the last sample that touched it, or the teacher, spoke against it. */
    public function isWeak(string $skill): bool
    {
        $standing = $this->standings[$skill] ?? null;
        if ($this->isSure($skill) || $standing === null || ! $standing->tried()) {
            return false;
        }
        $worst = $this->lastShowing($skill)?->worst($skill);

        return $standing->word === false || $worst?->verdict === Verdict::NotYet || ($worst === null && $standing->lastShowing() < Standing::COMING_FROM);
    }

    /** @return list<string> weak skills the lesson teaches, deepest first */
    public function weak(string $lesson): array
    {
        $teaches = $this->lessons[$lesson]->teaches;
        $ordered = array_filter(array_keys($this->skills->all()), fn (string $id): bool => in_array($id, $teaches, true) && $this->isWeak($id));

        return array_values(array_map(strval(...), $ordered));
    }

    /** What the course needs next: the first lesson not tried, or tried with something not yet there. */
    public function target(): ?string
    {
        foreach ($this->order as $id) {
            if (! $this->isPassed($id) && (! $this->isTried($id) || $this->weak($id) !== [])) {
                return $id;
            }
        }

        return null;
    }

    public function firstUntried(): ?string
    {
        foreach ($this->order as $id) {
            if (! $this->isTried($id) && ! $this->isPassed($id)) {
                return $id;
            }
        }

        return null;
    }

    /** @return list<string> lessons of which a sample was sewn */
    public function tried(): array
    {
        return array_map(strval(...), array_keys($this->lastByLesson));
    }

    public function steps(): Steps
    {
        return new Steps($this, $this->lessons, $this->order, $this->table, $this->unlocks);
    }

    public function lastSample(string $lesson): ?PastSample
    {
        return $this->lastByLesson[$lesson] ?? null;
    }

    /** The last sample that touched a skill. */
    public function lastShowing(string $skill): ?PastSample
    {
        return $this->lastBySkill[$skill] ?? null;
    }

    /**
     * The same check near in the last two samples of the lesson sewn last.
     *
     * @return array{PastSample, Finding, PastSample, Finding}|null
     */
    public function nearTwice(): ?array
    {
        $last = $this->samples === [] ? null : $this->samples[count($this->samples) - 1];
        if ($last === null || ! isset($this->lessons[$last->lesson])) {
            return null;
        }
        $same = array_values(array_filter($this->samples, fn (PastSample $s): bool => $s->lesson === $last->lesson));
        $before = $same[count($same) - 2] ?? null;
        foreach ($before === null ? [] : $last->findings as $finding) {
            foreach ($before->findings ?? [] as $was) {
                if ($before !== null && $was->check === $finding->check && $was->verdict === Verdict::Near && $finding->verdict === Verdict::Near) {
                    return [$last, $finding, $before, $was];
                }
            }
        }

        return null;
    }

    /**
     * Samples in a row, newest first, that ended for the skill as the newest did: the same finding, or, where
     * nothing was found but the showing was poor, a poor showing.
     *
     * @return list<PastSample>
     */
    public function sameOutcomes(string $skill): array
    {
        $newest = $this->lastShowing($skill);
        $worst = $newest?->worst($skill);
        $run = [];
        foreach (array_reverse($this->samples) as $sample) {
            $showing = $sample->evidence->showing($skill);
            if ($showing === null) {
                continue;
            }
            $same = $worst === null
                ? $sample->worst($skill) === null && $showing < Standing::GOOD_SHOWING
                : $worst->verdict !== Verdict::Unsure && array_filter($sample->findings, $worst->isLike(...)) !== [];
            if (! $same) {
                break;
            }
            $run[] = $sample;
        }

        return $run;
    }

    /** @return list<string> skills of the course that want one more showing before it is done, in the order they are taught */
    public function toConfirm(): array
    {
        $skills = [];
        foreach ($this->order as $id) {
            foreach ($this->lessons[$id]->teaches as $skill) {
                if (isset($this->standings[$skill]) && $this->standings[$skill]->toConfirm($this->school)) {
                    $skills[$skill] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($skills));
    }

    /** @return list<string> most faded first */
    public function refreshDue(): array
    {
        $due = array_filter($this->standings, fn (Standing $s): bool => $this->skills->has($s->skill) && $s->refreshDue($this->school));
        uasort($due, fn (Standing $a, Standing $b): int => $a->faded <=> $b->faded);

        return array_map(strval(...), array_keys($due));
    }
}
