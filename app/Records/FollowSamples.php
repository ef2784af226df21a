<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\SewingClass;
use App\Models\Student;
use App\Support\Clock;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Words;

/** A student's standings and next lesson as the kept samples say now. The student is locked already. */
final readonly class FollowSamples
{
    public function __construct(private StudentRecords $records, private Standings $standings, private Adviser $adviser, private AssignLesson $assign) {}

    public function __invoke(Student $student): void
    {
        $words = Words::in();
        $past = array_map(fn (KeptSample $k): PastSample => $k->past(), $this->records->of([$student->id], $words)[$student->id]);
        $this->standings->store($student->studio_id, $student->id, array_map(fn (PastSample $p) => $p->evidence, $past));
        foreach (SewingClass::query()->whereIn('id', $student->enrolments()->select('class_id'))->get() as $class) {
            $this->assign->renew($class, $student, $this->adviser->advise($class, $past, $student->wishes, Clock::now(), $words));
        }
    }
}
