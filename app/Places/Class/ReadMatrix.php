<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Models\Enrolment;
use App\Models\LessonAssignment;
use App\Models\SewingClass;
use App\Records\Adviser;
use App\Records\Shelf;
use App\Records\Standings;
use App\Records\StudentRecords;
use App\Support\Clock;
use LogicException;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Words;

/**
 * A class as rows of standings, without going through its samples: what was
 * given with the last sample is what is next, but where time has changed that.
 */
final readonly class ReadMatrix
{
    public function __construct(private Standings $standings, private StudentRecords $records, private Adviser $adviser, private Shelf $shelf) {}

    /** @return array<string, MatrixRow> by student, in the order of their seats */
    public function __invoke(SewingClass $class, Words $words): array
    {
        $now = Clock::now();
        $enrolments = Enrolment::seated($class->id)->keyBy('student_id');
        $ids = array_map(strval(...), array_keys($enrolments->all()));
        $standings = $this->standings->of($class, $ids, $now, fn (): array => $this->records->of($ids, $words));
        $given = [];
        foreach (LessonAssignment::inForce()->where('class_id', $class->id)->whereIn('student_id', $ids)->select('student_id', 'lesson', 'drill', 'overruled')->toBase()->get() as $row) {
            /** @var object{student_id: string, lesson: string|null, drill: string|null, overruled: int} $row */
            $given[$row->student_id] = [$row->lesson, $row->drill, (bool) $row->overruled];
        }
        $anew = array_values(array_filter($ids, fn (string $id): bool => ! $this->holds($given[$id] ?? null, $standings[$id] ?? [], $class)));
        $records = $anew === [] ? [] : $this->records->of($anew, $words);
        $rows = [];
        foreach ($ids as $id) {
            $enrolment = $enrolments->get($id) ?? throw new LogicException('They sit in the class: they were found by that.');
            [$lesson, $drill] = $given[$id] ?? [null, null];
            if (isset($records[$id])) {
                $advice = $this->adviser->adviseOn($class, $records[$id], $enrolment->student, $now, $words);
                [$lesson, $drill] = [$advice->lesson, $advice->drill?->id];
            }
            $rows[$id] = new MatrixRow($enrolment, $standings[$id] ?? [], $lesson, $drill);
        }

        return $rows;
    }

    /**
     * @param  array{string|null, string|null, bool}|null  $given
     * @param  array<string, Standing>  $standings
     */
    private function holds(?array $given, array $standings, SewingClass $class): bool
    {
        if ($given === null || ($given[0] !== null && ! isset($this->shelf->bundle()->lessons[$given[0]]))) {
            return false;
        }

        // The teacher's choice holds; a proposal until a skill has faded since.
        return $given[2] || array_filter($standings, fn (Standing $s): bool => $s->refreshDue($class->school)) === [];
    }
}
