<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Models\Enrolment;
use App\Models\Machine;
use App\Models\SewingClass;
use App\Models\Student;
use App\Places\Studio\MoveStudent;
use App\Support\Clock;
use OpenSeam\Core\InputError;

/** Puts students into a class, each at the next free seat. */
final readonly class AddStudents
{
    public function __construct(private MoveStudent $move) {}

    /** @throws InputError for somebody who is in the class already */
    public function __invoke(SewingClass $class, Comers $comers): void
    {
        $seat = (int) $class->enrolments()->max('seat');
        $machines = array_values(Machine::standing()->where('studio_id', $class->studio_id)->where('usable', true)->get()->all());
        foreach ($comers->names as $name) {
            $student = Student::query()->create(['studio_id' => $class->studio_id, 'name' => $name, 'hand' => $comers->hands[$name] ?? '', 'own_machine' => in_array($name, $comers->ownMachines, true)]);
            // More students than machines: they share, in rounds.
            $machine = $machines === [] ? null : $machines[$seat % count($machines)];
            Enrolment::query()->create([
                'studio_id' => $class->studio_id, 'class_id' => $class->id, 'student_id' => $student->id,
                'seat' => ++$seat, 'machine_id' => $machine?->id, 'joined_at' => Clock::now(),
            ]);
        }
        foreach ($comers->returning as $student) {
            $this->move->comeBack($class->studio_id, Student::query()->findOrFail($student)->id, $class);
        }
    }
}
