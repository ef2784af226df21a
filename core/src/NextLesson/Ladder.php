<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use DateTimeImmutable;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Words;

/**
 * Decides the next lesson. The rungs, in order: safety; the root gap below what
 * the course needs next; near twice; refresh due; the next ready lesson in
 * course order; what is still only near; what is not sure yet; enrichment.
 * Within a rung the highest expected gain per minute wins.
 */
final readonly class Ladder
{
    /** @var array<string, int> how many lessons of the course stand on a skill */
    private array $unlocks;

    private Reasons $reasons;

    /**
     * @param  array<string, Option>  $lessons  all that could be given
     * @param  list<string>  $order  the course
     */
    public function __construct(
        private SkillGraph $skills,
        private array $lessons,
        private array $order,
        private Words $words,
        private Policy $policy = Policy::Gate,
        private School $school = School::Tracing,
        private ?TracingTable $table = null,
        private ?float $fadingWeeks = StandingLedger::FADING_WEEKS,
    ) {
        $unlocks = [];
        foreach ($order as $id) {
            foreach ($skills->below($lessons[$id]->teaches) as $below) {
                $unlocks[$below] = ($unlocks[$below] ?? 0) + 1;
            }
        }
        $this->unlocks = $unlocks;
        $this->reasons = new Reasons($words, $skills);
    }

    /**
     * @param  list<PastSample>  $samples  oldest first
     * @param  list<string>  $wishes  lesson or skill ids the student wants to come to
     * @param  array<string, bool>  $wordOfTeacher  by skill
     * @param  bool  $ownMachine  there is one at home
     * @param  list<string>|null  $atHome  lessons that machine sews; null: nothing is known of it
     */
    public function advise(array $samples, DateTimeImmutable $now, array $wishes = [], array $wordOfTeacher = [], bool $ownMachine = false, ?array $atHome = null): Advice
    {
        $record = $this->record($samples, $now, $wordOfTeacher);
        $advice = $this->safety($record)
            ?? $this->gap($record)
            ?? $this->nearTwice($record)
            ?? $this->refresh($record, $now)
            ?? $this->goOn($record)
            ?? $this->leftover($record)
            ?? $this->confirm($record)
            ?? $this->enrich($record, $wishes);

        return $advice->withHomework($record->steps()->homework($ownMachine, $advice->drill, $atHome));
    }

    /**
     * Lessons of the course that cannot be given yet, and the skill that each waits for.
     *
     * @param  list<PastSample>  $samples  oldest first
     * @param  array<string, bool>  $wordOfTeacher  by skill
     * @return array<string, string> root gap by lesson, in course order
     */
    public function blocked(array $samples, DateTimeImmutable $now, array $wordOfTeacher = []): array
    {
        $record = $this->record($samples, $now, $wordOfTeacher);
        $blocked = [];
        foreach ($this->order as $id) {
            $gap = $record->isTried($id) || $record->isPassed($id) ? null : $record->rootGap($id);
            $gap === null || $blocked[$id] = $gap;
        }

        return $blocked;
    }

    /**
     * @param  list<PastSample>  $samples
     * @param  array<string, bool>  $wordOfTeacher
     */
    private function record(array $samples, DateTimeImmutable $now, array $wordOfTeacher): Record
    {
        $table = $this->table ?? TracingTable::of($this->skills);
        $book = new StandingLedger($table, $this->fadingWeeks);
        $standings = $book->standings(array_map(fn (PastSample $s) => $s->evidence, $samples), $now, $wordOfTeacher);

        return new Record($this->skills, $this->lessons, $this->order, $this->school, $samples, $standings, $table, $this->unlocks);
    }

    private function safety(Record $record): ?Advice
    {
        foreach ($this->order as $id) {
            $lesson = $this->lessons[$id];
            $safety = array_values(array_filter($lesson->teaches, fn (string $skill): bool => $this->skills->get($skill)->safety));
            $last = $record->lastSample($id);
            // One habit missing is one too many, however sure the rest looks.
            $open = array_filter($safety, fn (string $skill): bool => ! $record->isEnough($skill) || $last?->worst($skill) !== null);
            if ($open !== []) {
                $reasons = [new Reason($this->words->say('reason.safety')), ...$this->reasons->findings($last, $open)];
                $kind = $last === null ? Kind::GoOn : Kind::Repeat;

                return $this->advice($record, $record->steps()->candidate($kind, $id), $last?->worst($safety[0])->change ?? null, $reasons);
            }
        }

        return null;
    }

    private function gap(Record $record): ?Advice
    {
        if ($this->policy === Policy::Together) {
            return null;
        }
        $target = $record->target();
        if ($target === null) {
            return null;
        }
        $root = $record->rootGap($target);
        $reasons = [];
        $wanted = [];
        if ($root !== null) {
            $reasons[] = new Reason($this->words->say('reason.root-gap', ['target' => $this->lessons[$target]->title, 'skill' => $this->skills->get($root)->title]));
            $wanted = [$root];
        } elseif ($record->isTried($target)) {
            $wanted = $record->weak($target);
            $root = $wanted[0] ?? null;
            foreach ($wanted as $skill) {
                $reasons[] = new Reason($this->words->say('reason.weak', ['skill' => $this->skills->get($skill)->title, 'lesson' => $this->lessons[$target]->title]));
            }
        }
        if ($root === null) {
            return null;
        }
        $candidates = $record->steps()->candidatesFor($root, $wanted);
        if ($candidates === []) {
            return null;
        }
        $run = $record->sameOutcomes($root);
        $outcomes = count($run);
        $other = $outcomes < Escalation::SET_ASIDE_FROM ? null : $this->setAside($record, $target, $root, $outcomes);
        if ($other !== null) {
            return $other;
        }
        $sample = $record->lastShowing($root);
        $worst = $sample?->worst($root);
        $step = Escalation::after($outcomes);
        $change = $step === null ? $worst?->change : new Change('habit', $this->words->say("change.$step->value"));
        $again = $step === null ? [] : [$this->reasons->sameAgain($run, $worst, $root)];

        return $this->advice($record, $step === null ? $candidates[0] : self::inTurn($candidates, $outcomes), $change, [...$reasons, ...$this->reasons->findings($sample, $wanted), ...$again], null, $step);
    }

    /**
     * The same outcome again: another exercise of it, in an order that does not change with what was shown.
     *
     * @param  non-empty-list<Candidate>  $candidates
     */
    private static function inTurn(array $candidates, int $outcomes): Candidate
    {
        // A lesson that was never sewn and stands on what is missing is no exercise of it.
        $candidates = array_values(array_filter($candidates, fn (Candidate $c): bool => $c->kind !== Kind::GoOn || $c->ready)) ?: $candidates;
        usort($candidates, fn (Candidate $a, Candidate $b): int => [$a->lesson, $a->drill->id ?? ''] <=> [$b->lesson, $b->drill->id ?? '']);

        return $candidates[$outcomes <= 3 ? 0 : $outcomes % count($candidates)];
    }

    /** After so many equal outcomes something else is sewn first, if anything can be. */
    private function setAside(Record $record, string $target, string $skill, int $outcomes): ?Advice
    {
        foreach ($this->order as $id) {
            if ($id !== $target && ! $record->isTried($id) && ! $record->isPassed($id) && $record->isReady($id)) {
                return $this->advice($record, $record->steps()->candidate(Kind::GoOn, $id), null, [new Reason($this->words->say('reason.set-aside', ['skill' => $this->skills->get($skill)->title, 'count' => (string) $outcomes]))]);
            }
        }

        return null;
    }

    private function nearTwice(Record $record): ?Advice
    {
        $near = $record->nearTwice();
        if ($near === null) {
            return null;
        }
        [$sample, $finding, $before, $was] = $near;
        $reason = new Reason(
            $this->words->say('reason.near-twice', ['lesson' => $this->lessons[$sample->lesson]->title, 'check' => "{$finding->title}, {$finding->text}"]),
            [Reason::behind($sample, $finding), Reason::behind($before, $was)],
        );

        return $this->advice($record, $record->steps()->candidate(Kind::Repeat, $sample->lesson), $finding->change, [$reason]);
    }

    private function refresh(Record $record, DateTimeImmutable $now): ?Advice
    {
        foreach ($record->refreshDue() as $skill) {
            $candidates = $record->steps()->candidatesFor($skill, [$skill], Kind::Refresh);
            $at = $record->standings[$skill]->lastShownAt ?? null;
            if ($candidates !== [] && $at !== null) {
                $weeks = (string) (int) round(($now->getTimestamp() - $at->getTimestamp()) / 604_800);
                $reason = new Reason($this->words->say('reason.refresh', ['skill' => $this->skills->get($skill)->title, 'weeks' => $weeks]));

                return $this->advice($record, $candidates[0], new Change('habit', $this->words->say('change.refresh')), [$reason]);
            }
        }

        return null;
    }

    private function goOn(Record $record): ?Advice
    {
        $target = $this->policy === Policy::Together ? $record->firstUntried() : $record->target();
        if ($target === null || $record->isTried($target)) {
            return null;
        }
        $before = $record->samples === [] ? null : $record->samples[count($record->samples) - 1];
        $reasons = match (true) {
            $before === null => [new Reason($this->words->say('reason.first'))],
            $before->worst() === null => [new Reason($this->words->say('reason.next-met', ['lesson' => $this->title($before->lesson)])), new Reason($this->words->say('reason.next'))],
            default => [new Reason($this->words->say('reason.next')), ...$this->reasons->unsure($before)],
        };
        $warmUp = null;
        if ($this->policy === Policy::Together) {
            $gap = $record->rootGap($target);
            if ($gap !== null) {
                $warmUp = $record->steps()->drillFor($gap);
                $reasons = [new Reason($this->words->say('reason.together', ['skill' => $this->skills->get($gap)->title])), ...$this->reasons->findings($record->lastShowing($gap), [$gap])];
            }
        }

        // What went wrong with it before its lesson was ever sewn is looked for there.
        foreach ($record->weak($target) as $skill) {
            array_push($reasons, ...$this->reasons->findings($record->lastShowing($skill), [$skill]));
        }

        return $this->advice($record, $record->steps()->candidate(Kind::GoOn, $target), null, [...$reasons, ...$this->mixed($record, $target)], $warmUp);
    }

    /**
     * What the lesson teaches or stands on that was shown well and badly in turns.
     *
     * @return list<Reason>
     */
    private function mixed(Record $record, string $lesson): array
    {
        $teaches = $this->lessons[$lesson]->teaches;
        $mixed = array_filter([...$this->skills->below($teaches), ...$teaches], fn (string $s): bool => ($record->standings[$s] ?? null)?->isMixed() === true);

        return array_values(array_map(fn (string $s): Reason => new Reason($this->words->say('reason.mixed', ['skill' => $this->skills->get($s)->title])), $mixed));
    }

    private function leftover(Record $record): ?Advice
    {
        foreach ($this->order as $id) {
            if (! $record->isPassed($id)) {
                $last = $record->lastSample($id);

                return $this->advice($record, $record->steps()->candidate(Kind::Repeat, $id), $last?->worst()?->change, [
                    new Reason($this->words->say('reason.leftover', ['lesson' => $this->lessons[$id]->title])),
                    ...$this->reasons->findings($last, $this->lessons[$id]->teaches),
                ]);
            }
        }

        return null;
    }

    /** Shown well and not sure yet: once more, by the shortest exercise of it, before the course is called done. */
    private function confirm(Record $record): ?Advice
    {
        $open = $this->school === School::Tracing ? $record->toConfirm() : [];
        foreach ($open as $skill) {
            $candidates = $record->steps()->candidatesFor($skill, $open);
            if ($candidates !== []) {
                return $this->advice($record, $candidates[0], null, [new Reason($this->words->say('reason.confirm', ['skill' => $this->skills->get($skill)->title]))]);
            }
        }

        return null;
    }

    /** Title of the first lesson of the course whose last sample was not met whole: as long as there is one, the course is not called done. */
    private function notMet(Record $record): ?string
    {
        foreach ($this->order as $id) {
            if ($record->lastSample($id)?->worst() !== null || ! $record->isPassed($id)) {
                return $this->title($id);
            }
        }

        return null;
    }

    /** @param  list<string>  $wishes */
    private function enrich(Record $record, array $wishes): Advice
    {
        $candidates = [];
        foreach ($this->lessons as $id => $lesson) {
            if (! $record->isPassed((string) $id) && $record->isReady((string) $id)) {
                $wished = array_intersect([$id, ...$lesson->teaches], $wishes) !== [];
                $candidates[] = [$wished, $record->steps()->candidate(Kind::Enrich, (string) $id)];
            }
        }
        usort($candidates, fn (array $a, array $b): int => [$b[0], $b[1]->gainPerMinute] <=> [$a[0], $a[1]->gainPerMinute]);
        $open = $this->notMet($record);
        if ($candidates === []) {
            $said = $this->words->say($open === null ? 'reason.all-done' : 'reason.all-there', ['lesson' => $open ?? '']);

            return new Advice(Kind::Enrich, null, null, new Change('habit', $said), [new Reason($said)], $record->steps()->all());
        }

        return $this->advice($record, $candidates[0][1], null, [new Reason($this->words->say(match (true) {
            $candidates[0][0] => 'reason.wish',
            $open !== null => 'reason.enrich-open',
            default => 'reason.enrich',
        }, ['lesson' => $open ?? '']))]);
    }

    /** @param  list<Reason>  $reasons */
    private function advice(Record $record, Candidate $chosen, ?Change $change, array $reasons, ?Drill $warmUp = null, ?Escalation $step = null): Advice
    {
        $change ??= match (true) {
            $chosen->drill !== null => new Change('habit', $chosen->drill->text),
            $chosen->kind === Kind::GoOn || $chosen->kind === Kind::Enrich => new Change('habit', $this->words->say('change.first-time')),
            default => new Change('habit', $this->words->say('change.again')),
        };
        $others = array_filter($record->steps()->all(), fn (Candidate $c): bool => ! ($c->lesson === $chosen->lesson && $c->drill === $chosen->drill));

        return new Advice($chosen->kind, $chosen->lesson, $chosen->drill, $change, $reasons, [$chosen, ...array_values($others)], $warmUp, null, $step);
    }

    private function title(string $lesson): string
    {
        return $this->lessons[$lesson]->title ?? $lesson;
    }
}
