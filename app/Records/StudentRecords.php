<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Sample;
use App\Models\SampleFault;
use App\Models\SampleReading;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Fault\Cause;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\Grading\Overruling;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Words;

/** Loads kept samples and has the core judge them, four queries however many students. */
final readonly class StudentRecords
{
    public function __construct(private Shelf $shelf, private CaseHistory $cases) {}

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
        // A class has thousands of readings: read as plain rows, not as models.
        $ids = array_values(array_map(strval(...), $samples->keys()->all()));
        $readings = self::rows(SampleReading::query()->select('sample_id', 'reading', 'position', 'value', 'limit_mm')->whereIn('sample_id', $ids)->toBase());
        $faults = self::rows(SampleFault::query()->select('sample_id', 'fault')->orderBy('fault')->whereIn('sample_id', $ids)->toBase());
        $found = $this->cases->found($ids);
        $grader = new Grader($this->shelf->bundle()->skills, $this->shelf->bundle()->faults, $words);
        $records = array_fill_keys($students, []);
        foreach ($samples as $sample) {
            $lesson = $this->shelf->sewn($sample);
            if ($lesson === null || (! $struck && ($sample->withdrawn || isset($corrected[$sample->id])))) {
                continue;
            }
            // A correction stands where the sample it corrects stood.
            $first = $sample;
            $chain = [$sample->id];
            while (($before = $samples->get($first->replaces_id ?? '')) !== null) {
                $first = $before;
                array_unshift($chain, $first->id);
            }
            $records[$sample->student_id][] = [$first->place(), $sample->turn, $this->judge($sample, $lesson, $first->kept_at, $readings[$sample->id] ?? [], $faults[$sample->id] ?? [], $chain, array_merge([], ...array_map(fn (string $id): array => $found[$id] ?? [], $chain)), $grader, $words)];
        }

        return array_map(function (array $list): array {
            usort($list, fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

            return array_column($list, 2);
        }, $records);
    }

    /** @return array<string, list<array<string, mixed>>> rows by sample */
    private static function rows(Builder $query): array
    {
        $rows = [];
        foreach ($query->get() as $row) {
            $row = (array) $row;
            $rows[is_string($row['sample_id']) ? $row['sample_id'] : ''][] = $row;
        }

        return $rows;
    }

    /**
     * @param  list<array<string, mixed>>  $stored  readings
     * @param  list<array<string, mixed>>  $seen  faults
     * @param  list<string>  $chain  ids of the sample and of those it corrects
     * @param  list<Cause>  $found
     */
    private function judge(Sample $sample, Lesson $lesson, CarbonImmutable $at, array $stored, array $seen, array $chain, array $found, Grader $grader, Words $words): KeptSample
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
        $readings = Readings::kept(array_map(array_values(...), $values), $limits);
        $faults = array_values(array_filter(array_column($seen, 'fault'), is_string(...)));
        $grade = $grader->grade($lesson, $readings, $faults, Overruling::all($sample->overruled ?? []), $sample->drill, $found);

        return new KeptSample($sample, $lesson, $readings, $grade, PastSample::graded($sample->id, $lesson->id, $at, $grade, $words, $this->shelf->bundle()->uses($lesson)), $chain);
    }
}
