<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\SewingClass;
use OpenSeam\Core\Course\ClassMinutes;
use OpenSeam\Core\Course\Repeats;

/** What the planning needs to know of a class and its room. */
final readonly class ClassRoom
{
    private function __construct(private SewingClass $class, public int $students, public int $machines, public int $helpers, public RoomInventory $room, private float $pace) {}

    /** @param  int|null  $students where they are known already */
    public static function of(SewingClass $class, ?int $students = null): self
    {
        return self::in(RoomInventory::read($class->studio_id), $class, $students ?? $class->enrolments()->count());
    }

    /** In a room that is known already, or only planned. */
    public static function in(RoomInventory $room, SewingClass $class, int $students): self
    {
        return new self($class, max(1, $students), count($room->room->machines), $class->helpers, $room, $class->pace_percent / 100);
    }

    /**
     * The course's lessons with their minutes for this class and what each needs.
     *
     * @param  Repeats  $repeats  class time kept for sewing them again
     * @return list<array{id: string, minutes: float, needs: list<string>, foot: string|null, strand: string}>
     */
    public function lessons(Shelf $shelf, string $course, Repeats $repeats = new Repeats): array
    {
        $order = $shelf->order($course);

        return array_map(fn (string $id): array => [
            'id' => $id,
            'minutes' => $this->minutes($shelf, $id)->minutes + ($repeats->minutes[$id] ?? 0.0),
            'needs' => $shelf->bundle()->needs($id, $order),
            // The first it is sewn under: a change of foot between two lessons costs the class a minute each.
            'foot' => ($shelf->taught($this->class)->lesson($id)->sews[0] ?? null)?->feet[0] ?? null,
            'strand' => $shelf->bundle()->skills->get($shelf->bundle()->lesson($id)->teaches[0])->strand,
        ], $order);
    }

    /** Minutes of one more sample of it, when it has been shown. */
    public function again(Shelf $shelf, string $lesson): float
    {
        return $this->minutes($shelf, $lesson)->minutes - $shelf->taught($this->class)->lesson($lesson)->minutes->demo;
    }

    /** Rounds by the machines and feet that can sew this lesson, not by all there are. */
    public function minutes(Shelf $shelf, string $lesson): ClassMinutes
    {
        $found = $shelf->taught($this->class)->lesson($lesson);

        return ClassMinutes::forLesson($found, $this->students, max(1, min($this->students, $this->room->forLesson($found)->places)), $this->helpers)->paced($this->pace);
    }
}
