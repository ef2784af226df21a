<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Words;

/** Judges a sample by its lesson's checks. */
final readonly class Grader
{
    public function __construct(private Bundle $bundle, private Words $words) {}

    /**
     * @param  list<string>  $faults  ids of what was seen
     * @param  array<string, Overruling>  $overruled  the teacher's own verdicts, by check
     *
     * @throws InputError for a fault the bundle does not know
     */
    public function grade(Lesson $lesson, Readings $readings, array $faults = [], array $overruled = []): Grade
    {
        $checks = [];
        $evidence = [];
        foreach ($lesson->rows as $row) {
            foreach ($row->checks as $spec) {
                $field = $row->fields[$spec->of];
                $result = $spec->check->judge($field, $readings->of($row, $field), $this->words);
                $check = new GradedCheck($row, $spec, $result, $overruled["{$row->id}.{$spec->id}"] ?? null);
                $checks[] = $check;
                $weight = $check->weight();
                if ($weight !== null) {
                    foreach ($spec->shows as $skill) {
                        $evidence[$skill][] = $weight;
                    }
                }
            }
        }
        $seen = [];
        foreach (array_values(array_unique($faults)) as $i => $id) {
            $fault = $this->bundle->faults[$id] ?? throw InputError::at("faults[$i]", $id, 'There is no such fault. Usual in this lesson: '.implode(', ', $lesson->faults).'.');
            $seen[] = $fault;
            foreach ($fault->denies as $skill) {
                $evidence[$skill][] = 0.0;
            }
        }

        $safety = array_values(array_filter($lesson->teaches, fn (string $s): bool => $this->bundle->skills->get($s)->safety));
        $grade = new Grade($checks, $seen, $evidence, $safety);
        foreach ($safety as $skill) {
            if (isset($evidence[$skill]) && ! $this->isSafe($grade, $skill)) {
                // Five safe habits do not outweigh the one that was missing.
                $evidence[$skill] = [0.0];
            }
        }

        return new Grade($checks, $seen, $evidence, $safety);
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
