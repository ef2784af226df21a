<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Enrolment;
use App\Models\LessonAssignment;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Support\Clock;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Skill\Level;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Words;

/** Reads a class as it stands: every student's samples, standings and next lesson, in a fixed number of queries. */
final readonly class ReadClass
{
    public function __construct(private StudentRecords $records, private Adviser $adviser, private Standings $standings) {}

    /**
     * @param  string|null  $only  one student's id: then with all they were given, else with the last of it
     * @param  bool  $planned  with what is planned in each session
     * @param  bool  $theirs  said to the student, not to the teacher
     */
    public function __invoke(SewingClass $class, Unit $unit, ?string $only = null, bool $planned = false, bool $theirs = false): ClassAsRead
    {
        $words = $theirs ? Words::in($unit)->theirs() : Words::in($unit);
        $now = Clock::now();
        $sessions = array_values(PlanSession::ofClass($class->id, $planned)->get()->all());
        $enrolments = Enrolment::seated($class->id, $only);
        $ids = array_values($enrolments->map(fn ($e): string => $e->student_id)->all());
        $records = $this->records->of($ids, $words);
        $assigned = LessonAssignment::given($class->id, $ids, $only === null);
        $standings = $this->standings->of($class, $ids, $now, fn (): array => $records);
        $students = [];
        foreach ($enrolments as $enrolment) {
            $id = $enrolment->student_id;
            $mine = $standings[$id] ?? [];
            $given = $assigned[$id] ?? [];
            $students[$id] = new StudentAsRead(
                $enrolment, $records[$id], array_map(fn (Standing $s): Level => $s->level($class->school), $mine),
                $this->adviser->adviseOn($class, $records[$id], $enrolment->student, $now, $words),
                $given === [] ? null : $given[count($given) - 1], $given, $mine,
            );
        }

        return new ClassAsRead($class, $sessions, $now, $words, $students);
    }
}
