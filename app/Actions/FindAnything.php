<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\FoundView;
use App\Models\Enrolment;
use App\Support\Shelf;
use OpenSeam\Core\Course\Lesson;

/** Students of this studio and lessons of the shelf whose name holds what is typed. */
final readonly class FindAnything
{
    private const MOST = 12;

    public function __construct(private Shelf $shelf) {}

    /** @return list<FoundView> */
    public function __invoke(string $words): array
    {
        if ($words === '') {
            return [];
        }
        $students = Enrolment::query()->with('student')
            ->whereHas('student', fn ($query) => $query->where('name', 'like', '%'.addcslashes($words, '%_\\').'%'))
            ->orderByDesc('id')->limit(self::MOST)->get()
            ->map(fn (Enrolment $e): FoundView => new FoundView('student', $e->student->name, 'seat '.$e->seat, "/class/{$e->class_id}?student={$e->student_id}"))->all();
        $lessons = array_map(
            fn (Lesson $l): FoundView => new FoundView('lesson', $l->title, $l->why, "/samplers/{$l->id}"),
            array_filter($this->shelf->bundle()->lessons, fn (Lesson $l): bool => mb_stripos($l->title, $words) !== false),
        );

        return array_slice([...array_values($students), ...array_values($lessons)], 0, self::MOST);
    }
}
