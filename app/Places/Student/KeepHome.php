<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Models\Machine;
use App\Models\Student;
use OpenSeam\Core\Machine\Drive;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\FootKind;
use OpenSeam\Core\Machine\HomeMachine;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchKind;
use OpenSeam\Core\Words;

/** A student's own machine: asked in a short form that starts from a machine they know. */
final readonly class KeepHome
{
    /** null: nothing is known of it any more. */
    public function __invoke(Student $student, ?HomeMachine $home): void
    {
        $student->update(['home' => $home?->facts()] + ($home === null ? [] : ['own_machine' => true]));
    }

    public function show(Student $student): HomeView
    {
        $home = $student->atHome();
        $titled = fn (string $id, string $title): array => ['id' => $id, 'title' => $title];
        $mounts = FootBook::standard()->mounts();

        return new HomeView(
            $home?->machine->facts(), array_map(fn ($f): string => $f->kind->id, $home->feet ?? []),
            [
                ...array_values(Machine::standing()->get()->map(fn (Machine $m): array => ['id' => $m->id, 'title' => Words::in()->say('room.like', ['machine' => $m->name]), 'facts' => $m->core()->facts()])->all()),
                ...array_map(fn (Drive $d): array => ['id' => $d->value, 'title' => Words::in()->say("room.usual-$d->value"), 'facts' => $d->usual()], Drive::cases()),
            ],
            array_values(array_map(fn (FootKind $k): array => $titled($k->id, $k->title), FootBook::standard()->all())),
            array_map($titled, array_keys($mounts), $mounts),
            array_values(array_map(fn (StitchKind $k): array => $titled($k->id, $k->title) + ['swings' => $k->swings()], array_filter(StitchBook::standard()->all(), fn (StitchKind $k): bool => $k->madeOf === null))),
        );
    }
}
