<?php

declare(strict_types=1);

namespace OpenSeam\Core\Grading;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Fault\Cause;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Near;
use OpenSeam\Core\Sampler\Check\Check;
use OpenSeam\Core\Sampler\Check\EachCheck;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Words;

/** Judges a sample by its lesson's checks. */
final readonly class Grader
{
    /** @param  array<string, Fault>  $faults  that are known, by id */
    public function __construct(private SkillGraph $skills, private array $faults, private Words $words) {}

    /** Closer ways to read a length, coarsest first, with their half-widths in mm: what a reading of it can be typed as. */
    private const FINER = ['half' => Reading::RULER_LIMIT_MM, 'magnifier' => 0.1];

    /** From here on a length that was read on a coarse scale is called met; chosen by ./seam bench verdicts. */
    private const CLEARLY = 0.9;

    /**
     * @param  list<string>  $faults  ids of what was seen
     * @param  array<string, Overruling>  $overruled  the teacher's own verdicts, by check
     * @param  string|null  $drill  id of the lesson's drill that was sewn instead of the whole lesson
     * @param  list<Cause>  $found  what was found to be behind the faults: it speaks against its skill
     *
     * @throws InputError for a fault the bundle does not know
     */
    public function grade(Lesson $lesson, Readings $readings, array $faults = [], array $overruled = [], ?string $drill = null, array $found = []): Grade
    {
        $checks = [];
        foreach ($lesson->sampler->rows as $row) {
            foreach ($row->checks as $spec) {
                [$check, $field] = self::aimed($row, $spec, $readings);
                $checks[] = new GradedCheck($row, $spec, $this->judge($check, $field, $readings->of($row, $row->fields[$spec->of])), $overruled["{$row->id}.{$spec->id}"] ?? null);
            }
        }
        $seen = [];
        foreach (array_values(array_unique($faults)) as $i => $id) {
            $seen[] = $this->faults[$id] ?? throw InputError::at("faults[$i]", $id, 'There is no such fault. Usual in this lesson: '.implode(', ', $lesson->faults).'.');
        }
        $asked = array_values(array_filter($lesson->drills, fn (Drill $d): bool => $d->id === $drill));
        $asked = $asked === [] ? $lesson->teaches : array_map(fn (Drill $d): string => $d->skill, $asked);
        $safety = array_values(array_filter($asked, fn (string $s): bool => $this->skills->get($s)->safety));
        [$weights, $extras] = self::evidence($checks, [...array_merge([], ...array_map(fn (Fault $f): array => $f->denies, $seen)), ...$this->speaksAgainst($found)]);
        $grade = new Grade($checks, $seen, $weights, $extras, $asked, $safety, $found);
        foreach ($safety as $skill) {
            if (isset($weights[$skill]) && ! $this->isSafe($grade, $skill)) {
                // Five safe habits do not outweigh the one that was missing.
                $weights[$skill] = [0.0];
            }
        }

        return new Grade($checks, $seen, $weights, $extras, $asked, $safety, $found);
    }

    /**
     * What is too close to call, and would not be if it were read more closely, says so.
     *
     * @param  list<float|null>  $values
     */
    private function judge(Check $check, Field $field, array $values): ?CheckResult
    {
        $result = $check->judge($field, $values, $this->words);
        // A mark of a coarse scale stands for a stretch nearly as wide as what is met: that it is met has to be clearer.
        if ($field->limitMm > Reading::COARSE_MM && $result?->judgement->verdict === Verdict::Met && $result->judgement->pMet < self::CLEARLY) {
            $result = $result->open();
        }
        if ($result?->judgement->verdict !== Verdict::Unsure || ! in_array($field->kind, [FieldKind::Length, FieldKind::Lengths], true)) {
            return $result;
        }
        $finer = array_filter(self::FINER, fn (float $limitMm): bool => $limitMm < $field->limitMm - Near::DUST);
        $said = fn (string $step): string => $step === 'half' && $this->words->unit === Unit::Inch ? 'half-inch' : $step;
        foreach ($finer as $step => $limitMm) {
            if ($check->judge($field->within($limitMm), $values, $this->words)?->judgement->verdict !== Verdict::Unsure) {
                return $result->decidedBy($this->words->say('again.'.$said($step)));
            }
        }
        $next = array_key_first($finer);

        // As it was read it lies right at the limit; more closely it will lie on one side of it.
        return $next === null ? $result : $result->decidedBy($this->words->say("again.{$said($next)}-at-limit"));
    }

    /**
     * The check with what it aims at: a reading of its own where there is one, whose limit all of them have in common.
     *
     * @return array{Check, Field}
     */
    private static function aimed(Row $row, CheckSpec $spec, Readings $readings): array
    {
        $field = $readings->asRead($row, $row->fields[$spec->of]);
        $aim = $spec->targetOf === null ? null : $row->fields[$spec->targetOf];
        $target = $aim === null ? null : $readings->of($row, $aim)[0];

        return $target === null || ! $spec->check instanceof EachCheck
            ? [$spec->check, $field]
            : [$spec->check->aimedAt($target, $readings->asRead($row, $aim)->limitMm), $field];
    }

    /**
     * @param  list<GradedCheck>  $checks
     * @param  list<string>  $denied  skills that a fault or its cause speaks against
     * @return array{array<string, list<float>>, array<string, list<float>>} of the required checks and of the extras, by skill
     */
    private static function evidence(array $checks, array $denied): array
    {
        $weights = $extras = $open = [];
        foreach ($checks as $check) {
            $weight = $check->weight();
            foreach ($check->spec->shows as $skill) {
                match (true) {
                    $check->spec->extra => $weight === null || $extras[$skill][] = $weight,
                    $weight === null => $open[$skill][] = Evidence::UNDECIDED,
                    default => $weights[$skill][] = $weight,
                };
            }
        }
        foreach ($denied as $skill) {
            $weights[$skill][] = 0.0;
        }
        // Half looked at: what was not read leaves it open whether the skill was shown.
        foreach (array_intersect_key($open, $weights) as $skill => $undecided) {
            array_push($weights[$skill], ...$undecided);
        }

        return [$weights, $extras];
    }

    /**
     * @param  list<Cause>  $found
     * @return list<string> skills of this course
     */
    private function speaksAgainst(array $found): array
    {
        $skills = [];
        foreach ($found as $cause) {
            if ($cause->skill !== null && $this->skills->has($cause->skill)) {
                $skills[] = $cause->skill;
            }
        }

        return $skills;
    }

    /** Every habit of the skill was looked for and seen. */
    private function isSafe(Grade $grade, string $skill): bool
    {
        foreach ($grade->checks as $check) {
            if (in_array($skill, $check->spec->shows, true) && $check->verdict() !== Verdict::Met) {
                return false;
            }
        }

        return array_filter($grade->faults, fn (Fault $f): bool => in_array($skill, $f->denies, true)) === [];
    }
}
