<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Foot;
use App\Models\Machine;
use App\Models\SewingClass;
use App\Support\CourseDates;
use Illuminate\Support\Facades\DB;

/** Makes a class with its students and lays its course into sessions. */
final readonly class PlanCourse
{
    public function __construct(private AddStudents $addStudents, private LayOutPlan $layOut) {}

    /**
     * @param  list<string>  $students  names
     * @param  int  $machines  how many stand in the room; only asked while none are kept
     */
    public function __invoke(string $studio, string $name, string $course, array $students, CourseDates $dates, int $helpers, int $machines): SewingClass
    {
        return DB::transaction(function () use ($studio, $name, $course, $students, $dates, $helpers, $machines): SewingClass {
            if (! Machine::standing()->where('studio_id', $studio)->exists()) {
                for ($i = 1; $i <= $machines; $i++) {
                    Machine::query()->create(['studio_id' => $studio, 'name' => "Machine $i", 'drive' => 'mechanical']);
                }
                // Each comes with its standard foot.
                Foot::add($studio, ['kind' => 'standard', 'count' => $machines]);
            }
            $class = SewingClass::query()->create(['studio_id' => $studio, 'name' => $name, 'course' => $course, 'helpers' => $helpers]);
            ($this->addStudents)($class, $students);
            ($this->layOut)($class, $dates);

            return $class;
        });
    }
}
