<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\SewingClass;
use App\Models\Student;
use App\Records\Adviser;
use App\Records\CaseHistory;
use App\Records\JudgedSample;
use App\Records\Shelf;
use App\Records\StudentRecords;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Data;
use OpenSeam\Core\Grading\Comparison;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\Grading\Overruling;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Words;

/** Judges a sample as typed so far and says what would come next. Stores nothing. */
final readonly class JudgeSample
{
    public function __construct(private Shelf $shelf, private StudentRecords $records, private CaseHistory $cases, private Adviser $adviser) {}

    /**
     * @param  array<array-key, mixed>  $typed  by "row.reading"
     * @param  list<string>  $faults
     * @param  string|null  $replaces  the sample this one corrects
     * @param  int|null  $version  of the lesson that was sewn; null: of the sample that is corrected, or today's
     * @param  array<string, Overruling>  $overruled  the teacher's own verdicts, by check
     * @param  string|null  $drill  sewn instead of the whole lesson; of the sample that is corrected, where one is
     * @param  Way|null  $way  it was sewn in; null: of the sample that is corrected, or as the class is taught
     * @param  CarbonImmutable|null  $at  it was looked at; null: now
     *
     * @throws InputError naming the reading that does not fit, a check, drill or school that is not there, or a version that never was
     */
    public function __invoke(SewingClass $class, Student $student, string $lessonId, array $typed, array $faults, Unit $unit, string $id, ?string $replaces = null, ?int $version = null, array $overruled = [], ?string $drill = null, ?Way $way = null, ?CarbonImmutable $at = null): JudgedSample
    {
        $words = Words::in($unit);
        $records = $this->records->of([$student->id], $words)[$student->id];
        $corrects = [];
        foreach ($records as $kept) {
            if ($kept->sample->id === $replaces) {
                $corrects = $kept->chain;
                // A correction is of what was sewn then, whatever is on the shelf or assigned today.
                [$version, $drill, $way] = [$kept->sample->lesson_version, $kept->sample->drill, Way::read(Data::of($kept->sample->way ?? []))];
                $kept->sample->lesson === $lessonId || throw InputError::at('lesson', $lessonId, "A correction is for the lesson of the sample it corrects: {$kept->sample->lesson}.");
            }
        }
        $lesson = $this->lesson($lessonId, $version);
        $lesson = match (true) {
            $way === null => Shelf::inWay($lesson, new Way($class->lesson_schools[$lesson->id] ?? [])),
            $corrects === [] => $lesson->in($way),
            default => Shelf::inWay($lesson, $way),
        };
        $corrects !== [] || self::checkDrill($lesson, $drill);
        // A search for a cause may have begun while the sample was still in hand; without a fault there is none.
        $found = $faults === [] ? [] : array_merge([], ...array_values($this->cases->found([...$corrects, $id])));
        $readings = Readings::typed($lesson->sampler, $typed, $unit);
        $grade = (new Grader($this->shelf->bundle()->skills, $this->shelf->bundle()->faults, $words))->grade($lesson, $readings, $faults, $overruled, $drill, $found);
        self::checkOverruled($grade, $overruled);
        // Kept to the millisecond, so that what is worked out now and what a rebuild finds are the same.
        $now = Clock::now()->floor('millisecond');
        $judged = fn (DateTimeImmutable $at): array => $grade->verdict() === null ? [] : [PastSample::graded($id, $lesson->id, $at, $grade, $words, $this->shelf->bundle()->uses($lesson))];
        $past = [];
        $before = null;
        $placed = false;
        foreach ($records as $kept) {
            if ($kept->sample->id === $replaces || $kept->sample->id === $id) {
                // A correction stands where the sample it corrects stood.
                $placed = true;
                array_push($past, ...$judged($kept->at));
            } else {
                $past[] = $kept->past();
                $before = ! $placed && $kept->sample->lesson === $lesson->id && $kept->sample->drill === null ? $kept : $before;
            }
        }
        $looked = $at === null ? $now : $at->floor('millisecond')->min($now);
        // What was looked at earlier stands before what was looked at since.
        $stands = count($past);
        while ($at !== null && $stands > 0 && $past[$stands - 1]->evidence->at > $looked) {
            $stands--;
        }
        $placed || array_splice($past, $stands, 0, $judged($looked));

        return new JudgedSample($lesson, $readings, $grade, $this->adviser->advise($class, $past, $student->wishes, $now, $words), $past, $looked, $before === null ? [] : Comparison::of($before->grade(), $grade), $before?->readings());
    }

    /** @param  array<string, Overruling>  $overruled */
    private static function checkOverruled(Grade $grade, array $overruled): void
    {
        $keys = array_map(fn (GradedCheck $c): string => $c->key(), $grade->checks);
        foreach (array_diff(array_map(strval(...), array_keys($overruled)), $keys) as $key) {
            throw InputError::at("overruled.$key", $key, 'This lesson has no such check. Its checks: '.implode(', ', $keys).'.');
        }
    }

    private static function checkDrill(Lesson $lesson, ?string $drill): void
    {
        $drills = array_map(fn (Drill $d): string => $d->id, $lesson->drills);
        if ($drill !== null && ! in_array($drill, $drills, true)) {
            throw InputError::at('drill', $drill, "“{$lesson->title}” has no such drill".($drills === [] ? '.' : '. Its drills: '.implode(', ', $drills).'.'));
        }
    }

    private function lesson(string $id, ?int $version): Lesson
    {
        $today = $this->shelf->bundle()->lesson($id);

        return $version === null || $version === $today->version ? $today : $this->shelf->earlier($id, $version)
            ?? throw InputError::at('version', $version, sprintf('“%s” has no such version; the one on the shelf is %d.', $today->title, $today->version));
    }
}
