<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Models\Enrolment;
use App\Models\Machine;
use App\Models\SewingClass;
use App\Models\Student;

/** Puts students into a class, each at the next free seat. */
final readonly class AddStudents
{
    /**
     * @param  list<string>  $names
     * @param  array<string, string>  $hands  left or right, by name
     * @param  list<string>  $ownMachines  names of those who have one at home
     */
    public function __invoke(SewingClass $class, array $names, array $hands = [], array $ownMachines = []): void
    {
        $seat = (int) $class->enrolments()->max('seat');
        $machines = array_values(Machine::standing()->where('studio_id', $class->studio_id)->where('usable', true)->get()->all());
        foreach ($names as $name) {
            $student = Student::query()->create(['studio_id' => $class->studio_id, 'name' => $name, 'hand' => $hands[$name] ?? '', 'own_machine' => in_array($name, $ownMachines, true)]);
            // More students than machines: they share, in rounds.
            $machine = $machines === [] ? null : $machines[$seat % count($machines)];
            Enrolment::query()->create([
                'studio_id' => $class->studio_id, 'class_id' => $class->id, 'student_id' => $student->id,
                'seat' => ++$seat, 'machine_id' => $machine?->id,
            ]);
        }
    }
}
