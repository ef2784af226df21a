<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Sample;
use Carbon\CarbonImmutable;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Sampler\Grader;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Words;

/** Loads kept samples and has the core judge them, three queries however many students. */
final readonly class StudentRecords
{
    public function __construct(private Shelf $shelf) {}

    /**
     * @param  list<string>  $students
     * @return array<string, list<KeptSample>> by student, oldest first; corrected samples are left out
     */
    public function of(string $class, array $students, Words $words): array
    {
        $samples = Sample::query()->with(['readings', 'faults'])
            ->where('class_id', $class)->whereIn('student_id', $students)
            ->orderBy('kept_at')->orderBy('id')->get()->keyBy('id');
        $corrected = [];
        foreach ($samples as $sample) {
            if ($sample->replaces_id !== null) {
                $corrected[$sample->replaces_id] = true;
            }
        }
        $grader = new Grader($this->shelf->bundle(), $words);
        $records = array_fill_keys($students, []);
        foreach ($samples as $sample) {
            $lesson = $this->shelf->bundle()->lessons[$sample->lesson] ?? null;
            if ($lesson === null || isset($corrected[$sample->id])) {
                continue;
            }
            // A correction stands where the sample it corrects stood.
            $first = $sample;
            while ($first->replaces_id !== null && $samples->has($first->replaces_id)) {
                $first = $samples[$first->replaces_id];
            }
            $records[$sample->student_id][] = $this->judge($sample, $lesson, $first->kept_at, $grader);
        }
        foreach ($records as &$list) {
            usort($list, fn (KeptSample $a, KeptSample $b): int => $a->past->evidence->at <=> $b->past->evidence->at);
        }

        return $records;
    }

    private function judge(Sample $sample, Lesson $lesson, CarbonImmutable $at, Grader $grader): KeptSample
    {
        $fields = Readings::fields($lesson);
        $values = [];
        foreach ($sample->readings as $reading) {
            $field = $fields[$reading->reading] ?? null;
            // A reading of an older version of the lesson that it no longer asks for.
            if ($field === null || $reading->position >= $field->size()) {
                continue;
            }
            $values[$reading->reading] ??= array_fill(0, $field->size(), null);
            $values[$reading->reading][$reading->position] = $reading->value;
        }
        $readings = Readings::kept(array_map(array_values(...), $values));
        $faults = array_values($sample->faults->map(fn ($f): string => $f->fault)->all());
        $grade = $grader->grade($lesson, $readings, $faults);

        return new KeptSample($sample, $readings, $grade, PastSample::graded($sample->id, $lesson->id, $at, $grade));
    }
}
