<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Machine;
use App\Models\SewingClass;
use OpenSeam\Core\Course\ClassMinutes;

/** What the planning needs to know of a class and its room. */
final readonly class ClassRoom
{
    private function __construct(public int $students, public int $machines, public int $helpers) {}

    /** @param  int|null  $students where they are known already */
    public static function of(SewingClass $class, ?int $students = null): self
    {
        $machines = $class->hasAttribute('usable_machines') ? $class->usable_machines : Machine::query()->where('usable', true)->count();

        return new self(
            max(1, $students ?? $class->enrolments()->count()),
            max(1, (int) $machines),
            $class->helpers,
        );
    }

    /**
     * The course's lessons with their minutes for this class and what each needs.
     *
     * @return list<array{id: string, minutes: float, needs: list<string>}>
     */
    public function lessons(Shelf $shelf, string $course): array
    {
        $order = $shelf->order($course);

        return array_map(fn (string $id): array => [
            'id' => $id,
            'minutes' => $this->minutes($shelf, $id)->minutes,
            'needs' => $shelf->bundle()->needs($id, $order),
        ], $order);
    }

    public function minutes(Shelf $shelf, string $lesson): ClassMinutes
    {
        return ClassMinutes::forLesson($shelf->bundle()->lesson($lesson), $this->students, $this->machines, $this->helpers);
    }
}
