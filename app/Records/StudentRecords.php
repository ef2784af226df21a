<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Sample;
use App\Support\NearMemory;
use LogicException;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\Grading\Overruling;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Words;

/** Loads kept samples and has the core judge them, a fixed number of queries however many students; what one showed is worked out once. */
final readonly class StudentRecords
{
    public function __construct(private Shelf $shelf, private CaseHistory $cases, private NearMemory $memory) {}

    /**
     * @param  list<string>  $students
     * @return array<string, list<KeptSample>> by student, in the order they were kept; what was corrected or withdrawn is left out
     */
    public function of(array $students, Words $words): array
    {
        return $this->read($students, $words, false);
    }

    /**
     * Everything that was ever kept of one student, struck or not.
     *
     * @return list<KeptSample> in the order it was kept; a correction stands where the first one stood
     */
    public function history(string $student, Words $words): array
    {
        return $this->read([$student], $words, true)[$student];
    }

    /**
     * @param  list<string>  $students
     * @return array<string, list<KeptSample>>
     */
    private function read(array $students, Words $words, bool $struck): array
    {
        $samples = Sample::inOrder($students)->get()->keyBy('id');
        $corrected = [];
        foreach ($samples as $sample) {
            if ($sample->replaces_id !== null) {
                $corrected[$sample->replaces_id] = true;
            }
        }
        $rows = new SampleRows($samples);
        $found = $this->cases->found(Sample::query()->whereIn('student_id', $students)->select('id'));
        $grader = new Grader($this->shelf->bundle()->skills, $this->shelf->bundle()->faults, $words);
        $shown = new ShownBefore($this->memory, $this->shelf, $words);
        $list = [];
        foreach ($samples as $sample) {
            if (! $this->shelf->knows($sample) || (! $struck && ($sample->withdrawn || isset($corrected[$sample->id])))) {
                continue;
            }
            // A correction stands where the sample it corrects stood.
            $first = $sample;
            $chain = [$sample->id];
            while (($before = $samples->get($first->replaces_id ?? '')) !== null) {
                $first = $before;
                array_unshift($chain, $first->id);
            }
            $causes = array_merge([], ...array_map(fn (string $id): array => $found[$id] ?? [], $chain));
            $list[] = [$sample, $first, $chain, $causes, $shown->note($sample, $causes)];
        }
        $records = array_fill_keys($students, []);
        foreach ($list as [$sample, $first, $chain, $causes, $key]) {
            $sewn = fn (): Lesson => $this->shelf->sewn($sample) ?? throw new LogicException('Known a moment ago.');
            $read = fn (): Readings => $this->typed($sewn(), $rows->of($sample->id)['readings']);
            $judge = fn (Readings $readings): Grade => $grader->grade($sewn(), $readings, array_values(array_filter(array_column($rows->of($sample->id)['faults'], 'fault'), is_string(...))), Overruling::all($sample->overruled ?? []), $sample->drill, $causes);
            $show = function (KeptSample $kept) use ($shown, $key, $first, $words): array {
                [$past, $verdict] = $shown->again($key, $kept->sample, $first->kept_at);
                if ($past === null) {
                    $verdict = $kept->grade()->verdict();
                    $past = PastSample::graded($kept->sample->id, $kept->sample->lesson, $first->kept_at, $kept->grade(), $words, $this->shelf->bundle()->uses($kept->lesson()));
                    $shown->keep($key, $past, $verdict);
                }

                return [$past, $verdict];
            };
            $records[$sample->student_id][] = [$first->place(), $sample->turn, new KeptSample($sample, $first->kept_at, $chain, $key, $sewn, $read, $judge, $show)];
        }

        return array_map(function (array $list): array {
            usort($list, fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

            return array_column($list, 2);
        }, $records);
    }

    /** @param  list<array<string, mixed>>  $stored  rows of readings */
    private function typed(Lesson $lesson, array $stored): Readings
    {
        $fields = $lesson->sampler->fields();
        $values = $limits = [];
        foreach ($stored as ['reading' => $reading, 'position' => $position, 'value' => $value, 'limit_mm' => $limit]) {
            $field = is_string($reading) ? $fields[$reading] ?? null : null;
            // A reading of an older version of the lesson that it no longer asks for.
            if ($field === null || ! is_numeric($position) || ! is_numeric($value) || $position >= $field->size()) {
                continue;
            }
            $values[$reading] ??= array_fill(0, $field->size(), null);
            $values[$reading][(int) $position] = (float) $value;
            is_numeric($limit) && $limits[$reading] = (float) $limit;
        }

        return Readings::kept(array_map(array_values(...), $values), $limits);
    }
}
