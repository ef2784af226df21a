<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Enrolment;
use App\Models\SkillStanding;
use App\Support\CurrentStudio;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Words;

/** Works out every standing anew from the kept samples. */
final readonly class RebuildStandings
{
    public function __construct(private StudentRecords $records, private CurrentStudio $studio, private Standings $standings) {}

    /** @return int students rebuilt */
    public function __invoke(): int
    {
        return DB::transaction(function (): int {
            SkillStanding::query()->delete();
            $count = 0;
            foreach (Enrolment::query()->withoutGlobalScope('seen')->orderBy('id')->get()->groupBy('class_id') as $enrolments) {
                $students = array_values($enrolments->map(fn (Enrolment $e): string => $e->student_id)->all());
                $this->studio->within($enrolments->firstOrFail()->studio_id, function () use ($students, $enrolments): void {
                    $records = $this->records->of($students, Words::in());
                    foreach ($enrolments as $enrolment) {
                        $this->standings->store($enrolment->studio_id, $enrolment->student_id, array_map(fn (KeptSample $k) => $k->past->evidence, $records[$enrolment->student_id]));
                    }
                });
                $count += count($enrolments);
            }

            return $count;
        });
    }
}
