<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use DateTimeImmutable;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Words;

/** A kept sample as the ladder sees it. */
final readonly class PastSample
{
    /** @param  list<Finding>  $findings */
    public function __construct(
        public string $lesson,
        public Evidence $evidence,
        public array $findings,
    ) {}

    /** @param  list<string>  $uses  skills the lesson stands on */
    public static function graded(string $id, string $lesson, DateTimeImmutable $at, Grade $grade, Words $words, array $uses = []): self
    {
        $findings = [];
        foreach ($grade->checks as $check) {
            $result = $check->result;
            if ($result !== null) {
                $findings[] = new Finding(
                    $check->key(), $check->spec->title, $result->text, $check->verdict() ?? $result->judgement->verdict, $check->spec->shows,
                    $check->verdict() === Verdict::Met ? null : $result->fix, $check->change(), $check->verdict() === Verdict::Unsure ? $result->again : null,
                );
            }
        }
        // A safe habit that nobody looked for keeps the lesson open, and is what to look for next.
        foreach (array_filter($grade->verdict() === null ? [] : $grade->checks, $grade->isUnseenHabit(...)) as $check) {
            $findings[] = new Finding($check->key(), $check->spec->title, $words->say('habit.unseen'), Verdict::NotYet, $check->spec->shows, 'unseen', $check->spec->changes['low'] ?? $check->spec->changes['any'] ?? null);
        }
        // So does a required check that was not read: the first of each skill is what to look at.
        $named = [];
        foreach (array_filter($grade->verdict() === null ? [] : $grade->checks, $grade->isAwaited(...)) as $check) {
            if (! $grade->isUnseenHabit($check) && array_diff($check->spec->shows, $named) !== []) {
                $named = [...$named, ...$check->spec->shows];
                $findings[] = new Finding($check->key(), $check->spec->title, $words->say('open.text'), Verdict::Unsure, $check->spec->shows, Finding::OPEN, null, $words->say('open.again'));
            }
        }
        foreach ($grade->faults as $fault) {
            $findings[] = new Finding($fault->id, $fault->seen, $fault->seen, Verdict::NotYet, $fault->denies, $fault->id, $fault->first, null, true);
        }

        foreach ($grade->found as $cause) {
            $findings[] = new Finding($cause->id, $words->say('found.title'), $words->say('found.text', ['cause' => $cause->title]), Verdict::NotYet, $cause->skill === null ? [] : [$cause->skill], $cause->id, Change::of($cause), null, true);
        }

        return new self($lesson, $grade->evidence($id, $at, $uses), $findings);
    }

    /** As it would be if the lesson were met now: three good showings of each of its skills, so that it counts also where one was weak. */
    public static function met(Lesson $lesson, DateTimeImmutable $at): self
    {
        $shown = array_fill_keys($lesson->teaches, [1.0, 1.0, 1.0]);

        return new self($lesson->id, new Evidence('if met', $at, $shown), [new Finding('met', '', '', Verdict::Met, array_keys($shown))]);
    }

    /** The worst finding about a skill, or about anything when none is named. */
    public function worst(?string $skill = null): ?Finding
    {
        $worst = null;
        foreach ($this->findings as $finding) {
            if (($skill === null || $finding->concerns($skill)) && $finding->verdict !== Verdict::Met
                && ($worst === null || ($worst->verdict !== $finding->verdict && $worst->verdict->worse($finding->verdict) === $finding->verdict))) {
                $worst = $finding;
            }
        }

        return $worst;
    }
}
