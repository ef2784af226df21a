<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Support\CurrentStudio;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Words;

/**
 * Works out standings anew from the kept samples, class by class: it can be stopped
 * and begun again. Classes that were put away have none: nobody is taught by them, and
 * there may be many years of them.
 */
final readonly class RebuildStandings
{
    public function __construct(private StudentRecords $records, private CurrentStudio $studio, private Standings $standings) {}

    /**
     * Of every class in reach.
     *
     * @return int students rebuilt
     */
    public function __invoke(): int
    {
        $count = 0;
        foreach (SewingClass::query()->withTrashed()->whereNull('archived_at')->orderBy('id')->lazyById() as $class) {
            $count += $this->ofClass($class);
        }

        return $count;
    }

    /** @return int students rebuilt */
    public function ofClass(SewingClass $class): int
    {
        return $this->studio->within($class->studio_id, fn (): int => DB::transaction(function () use ($class): int {
            $enrolments = Enrolment::query()->withoutGlobalScope('seen')->where('class_id', $class->id)->orderBy('id')->get();
            $students = array_values($enrolments->map(fn (Enrolment $e): string => $e->student_id)->all());
            // Each one's own are written anew below; of whoever is not in the class any more none are left.
            SkillStanding::query()->where('class_id', $class->id)->whereNotIn('student_id', $students)->delete();
            $records = $this->records->of($students, Words::in());
            foreach ($students as $student) {
                $this->standings->storeIn($class->studio_id, $class->id, $student, array_map(fn (KeptSample $k) => $k->past()->evidence, $records[$student]));
            }

            return count($students);
        }));
    }
}
