<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Skill\TracingTable;

/** The steps one student could take next, and what each would be worth. */
final readonly class Steps
{
    /**
     * What a sample costs beside its own minutes, fetching, handing over and the teacher's look, weighed as so many.
     * Chosen by simulated learners: less of it gives many short exercises of one skill each, and more samples in all.
     */
    private const LOOK_MINUTES = 30.0;

    /**
     * @param  array<string, Option>  $lessons
     * @param  list<string>  $order
     * @param  array<string, int>  $unlocks  how many lessons of the course stand on a skill
     */
    public function __construct(
        private Record $record,
        private array $lessons,
        private array $order,
        private TracingTable $table,
        private array $unlocks,
    ) {}

    public function candidate(Kind $kind, string $lesson): Candidate
    {
        $option = $this->lessons[$lesson];
        $minutes = $this->record->isTried($lesson) ? $option->againMinutes : $option->minutes;

        return new Candidate($kind, $lesson, null, $minutes, self::perMinute($this->gain($option->teaches), $minutes), $this->record->isReady($lesson), $this->record->isPassed($lesson));
    }

    /**
     * Ways to work on a skill, best first: its drills, the lessons that teach it.
     *
     * @param  list<string>  $wanted  skills whose gain counts
     * @return list<Candidate>
     */
    public function candidatesFor(string $skill, array $wanted, ?Kind $as = null): array
    {
        $found = [];
        foreach ($this->lessons as $id => $lesson) {
            if (! in_array($skill, $lesson->teaches, true)) {
                continue;
            }
            if (! $this->record->isTried((string) $id)) {
                // The first meeting is the whole lesson, not a drill of it.
                $found[] = $this->candidate($as ?? Kind::GoOn, (string) $id);

                continue;
            }
            $found[] = new Candidate($as ?? Kind::Repeat, (string) $id, null, $lesson->againMinutes, self::perMinute($this->gain(array_values(array_intersect($lesson->teaches, $wanted))), $lesson->againMinutes), $this->record->isReady((string) $id));
            foreach ($lesson->drills as $drill) {
                if ($drill->skill === $skill) {
                    $found[] = new Candidate($as ?? Kind::Drill, (string) $id, $drill, $drill->minutes, self::perMinute($this->gain([$skill]), $drill->minutes), true);
                }
            }
        }
        usort($found, fn (Candidate $a, Candidate $b): int => $b->gainPerMinute <=> $a->gainPerMinute);
        // Something already met is picked up again before a new lesson is opened for it, one of the course before any other.
        $rank = fn (Candidate $c): int => $this->record->isTried($c->lesson) ? 0 : (in_array($c->lesson, $this->order, true) ? 1 : 2);
        usort($found, fn (Candidate $a, Candidate $b): int => $rank($a) <=> $rank($b));
        // A course does not leave itself while it has an exercise of its own.
        $own = array_values(array_filter($found, fn (Candidate $c): bool => $rank($c) < 2));

        return $own === [] ? $found : $own;
    }

    /** @return list<Candidate> every lesson and drill, highest gain per minute first, ready ones before others */
    public function all(): array
    {
        $all = [];
        foreach ($this->lessons as $id => $lesson) {
            $tried = $this->record->isTried((string) $id);
            $inCourse = in_array($id, $this->order, true);
            $all[] = $this->candidate($tried ? Kind::Repeat : ($inCourse ? Kind::GoOn : Kind::Enrich), (string) $id);
            foreach ($tried ? $lesson->drills : [] as $drill) {
                $all[] = new Candidate(Kind::Drill, (string) $id, $drill, $drill->minutes, self::perMinute($this->gain([$drill->skill]), $drill->minutes), true, $this->record->isSure($drill->skill));
            }
        }
        usort($all, fn (Candidate $a, Candidate $b): int => ($b->ready <=> $a->ready) ?: ($b->gainPerMinute <=> $a->gainPerMinute));

        return $all;
    }

    /**
     * The short exercise that is worth most at home: of a lesson sewn before, for a
     * skill that is not sure; at a machine only where there is one at home, and where
     * it is known, only what that one can sew with its own feet.
     *
     * @param  list<string>|null  $atHome  lessons that the machine at home sews; null: nothing is known of it
     */
    public function homework(bool $ownMachine, ?Drill $given, ?array $atHome = null): ?Drill
    {
        $best = null;
        $most = 0.0;
        foreach ($this->record->tried() as $id) {
            $lesson = $this->lessons[$id] ?? null;
            $sewn = $lesson !== null && (! $lesson->machine || ($ownMachine && ($atHome === null || in_array($id, $atHome, true))));
            foreach ($sewn ? $lesson->drills : [] as $drill) {
                $gain = $drill === $given || $this->record->isSure($drill->skill) || (! $ownMachine && $this->record->isEnough($drill->skill)) ? 0.0 : self::perMinute($this->gain([$drill->skill]), $drill->minutes);
                if ($gain > $most) {
                    [$best, $most] = [$drill, $gain];
                }
            }
        }

        return $best;
    }

    public function drillFor(string $skill): ?Drill
    {
        foreach ($this->lessons as $lesson) {
            foreach ($lesson->drills as $drill) {
                if ($drill->skill === $skill) {
                    return $drill;
                }
            }
        }

        return null;
    }

    /** By the minutes it takes, with those that every look takes. */
    private static function perMinute(float $gain, float $minutes): float
    {
        return $gain / ($minutes + self::LOOK_MINUTES);
    }

    /**
     * Σ value × expected rise in P(L) by one sample. The posterior averages to
     * the prior, so the expected rise is the learning step alone: (1 − P)·T.
     * Value: the lessons a skill unlocks, and itself.
     *
     * @param  list<string>  $skills
     */
    private function gain(array $skills): float
    {
        $gain = 0.0;
        foreach ($skills as $skill) {
            $parameters = $this->table->for($skill);
            $known = ($this->record->standings[$skill] ?? null)->faded ?? $parameters->start;
            $gain += (1 + ($this->unlocks[$skill] ?? 0)) * (1 - $known) * $parameters->transit;
        }

        return $gain;
    }
}
