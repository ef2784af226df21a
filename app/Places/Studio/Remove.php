<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\Enrolment;
use App\Models\Sample;
use App\Models\SamplePhoto;
use App\Models\SewingClass;
use App\Models\Student;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** What goes when a class or a student goes, said before and done after thirty days. */
final readonly class Remove
{
    /** So long everything that was deleted can be brought back. */
    public const UNDO_DAYS = 30;

    public function classGoes(SewingClass $class): GoesView
    {
        $only = $this->onlyIn($class)->orderBy('name')->get();
        $names = array_map(strval(...), array_values($only->pluck('name')->all()));
        $all = array_map(strval(...), array_values(Student::query()->whereIn('id', Enrolment::query()->where('class_id', $class->id)->select('student_id'))->orderBy('name')->pluck('name')->all()));

        return $this->goes($class->name, $names, array_values(array_diff($all, $names)), $only->modelKeys());
    }

    public function studentGoes(Student $student): GoesView
    {
        return $this->goes($student->name, [$student->name], [], [$student->id]);
    }

    /**
     * @param  list<string>  $names
     * @param  list<string>  $staying
     * @param  array<array-key, mixed>  $students
     */
    private function goes(string $name, array $names, array $staying, array $students): GoesView
    {
        $samples = Sample::query()->whereIn('student_id', $students);

        return new GoesView($name, $names, $staying, $samples->count(), SamplePhoto::query()->whereIn('sample_id', $samples->clone()->select('id'))->count(), now()->addDays(self::UNDO_DAYS)->format('Y-m-d'));
    }

    /**
     * Students who are in no other class of the studio.
     *
     * @return Builder<Student>
     */
    private function onlyIn(SewingClass $class): Builder
    {
        return Student::query()->whereIn('id', Enrolment::query()->withTrashed()->where('class_id', $class->id)->select('student_id'))
            ->whereNotIn('id', Enrolment::query()->where('class_id', '<>', $class->id)->whereIn('class_id', SewingClass::query()->select('id'))->select('student_id'));
    }

    /** The undo is over: the class goes with everybody who was in no other; samples of the others stay theirs. */
    public function classForGood(SewingClass $class): void
    {
        DB::transaction(function () use ($class): void {
            $this->onlyIn($class)->withTrashed()->get()->each(fn (Student $s) => $s->forceDelete());
            $class->forceDelete();
        });
    }
}
