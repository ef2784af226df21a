<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\Student;

/** Who was in a class of this studio before, to come back with their history. */
final readonly class KnownStudents
{
    private const MOST = 30;

    /** @return list<KnownStudentView> */
    public function __invoke(string $q): array
    {
        $found = Student::query()->when($q !== '', fn ($query) => $query->where('name', 'like', '%'.addcslashes($q, '%_\\').'%'))
            ->with(['enrolments' => fn ($e) => $e->withTrashed()->with('sewingClass')])->orderBy('name')->limit(self::MOST)->get();

        return array_values($found->map(fn (Student $s): KnownStudentView => new KnownStudentView($s->id, $s->name, (string) ($s->enrolments->sortByDesc('id')->first()?->sewingClass?->name)))->all());
    }
}
