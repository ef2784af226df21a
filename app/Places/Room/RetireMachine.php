<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Models\Enrolment;
use App\Models\Machine;
use App\Support\Clock;
use App\Support\Conflict;
use Illuminate\Support\Facades\DB;

/** Takes a machine out of the room for good. What was sewn on it and done to it stays. */
final readonly class RetireMachine
{
    /** @throws Conflict when somebody sits at it and this was not said twice */
    public function __invoke(Machine $machine, bool $sure): void
    {
        DB::transaction(function () use ($machine, $sure): void {
            $seated = Enrolment::query()->where('machine_id', $machine->id)->with('student')->orderBy('seat')->get();
            if ($seated->isNotEmpty() && ! $sure) {
                $names = $seated->map(fn (Enrolment $e): string => $e->student->name)->unique();
                throw Conflict::machineInUse($machine->name, $names->join(', ', ' and ').($names->count() === 1 ? ' sits' : ' sit').' at it');
            }
            $machine->update(['retired_at' => Clock::now(), 'usable' => false]);
            // Their seats pass to the machines that stay, as evenly as may be.
            $stay = array_values(Machine::standing()->where('usable', true)->pluck('id')->all());
            foreach ($seated as $i => $enrolment) {
                $enrolment->update(['machine_id' => $stay === [] ? null : $stay[$i % count($stay)]]);
            }
        });
    }
}
