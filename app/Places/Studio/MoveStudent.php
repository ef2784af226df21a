<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\Enrolment;
use App\Models\Machine;
use App\Models\SewingClass;
use App\Records\KeptSample;
use App\Records\Standings;
use App\Records\StudentRecords;
use App\Support\Clock;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Words;

/** A student changes to another class, or comes back into one; their history comes along. */
final readonly class MoveStudent
{
    public function __construct(private StudentRecords $records, private Standings $standings) {}

    /** @throws InputError when they are there already */
    public function __invoke(Enrolment $from, SewingClass $to): void
    {
        $from->class_id !== $to->id || throw InputError::at('to', $to->id, 'They are in this class already.');
        DB::transaction(function () use ($from, $to): void {
            $this->enrol($from->studio_id, $from->student_id, $to, $from->note);
            $from->update(['page_hash' => null, 'page_until' => null]);
            $from->delete();
            $this->follow($from->studio_id, $from->student_id);
        });
    }

    /** Somebody who was here before comes into a class. @throws InputError when they are there already */
    public function comeBack(string $studio, string $student, SewingClass $to): void
    {
        DB::transaction(function () use ($studio, $student, $to): void {
            $this->enrol($studio, $student, $to, '');
            $this->follow($studio, $student);
        });
    }

    private function enrol(string $studio, string $student, SewingClass $to, string $note): void
    {
        $was = Enrolment::query()->withTrashed()->where('class_id', $to->id)->where('student_id', $student)->first();
        $was === null || $was->trashed() || throw InputError::at('to', $to->id, 'They are in this class already.');
        $seat = 1 + (int) Enrolment::query()->where('class_id', $to->id)->max('seat');
        $machines = array_values(Machine::standing()->where('studio_id', $studio)->where('usable', true)->get()->all());
        $machine = $machines === [] ? null : $machines[($seat - 1) % count($machines)]->id;
        if ($was !== null) {
            $was->restore();
            $was->update(['seat' => $seat, 'machine_id' => $machine]);
        } else {
            Enrolment::query()->create(['studio_id' => $studio, 'class_id' => $to->id, 'student_id' => $student, 'seat' => $seat, 'machine_id' => $machine, 'note' => $note, 'joined_at' => Clock::now()]);
        }
    }

    private function follow(string $studio, string $student): void
    {
        $this->standings->store($studio, $student, array_map(fn (KeptSample $k) => $k->past()->evidence, $this->records->of([$student], Words::in())[$student]));
    }
}
