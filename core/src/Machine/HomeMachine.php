<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** A student's own machine with the feet that belong to it: what they practise on at home, and bring along at times. */
final readonly class HomeMachine
{
    /** @param  list<Foot>  $feet  that fit its mount */
    private function __construct(public Machine $machine, public array $feet) {}

    /**
     * @param  Data  $d  a machine's facts and "feet", kinds of feet by id
     *
     * @throws InputError naming what does not fit
     */
    public static function read(Data $d): self
    {
        $machine = Machine::read($d);
        $feet = [];
        foreach ($d->texts('feet') as $i => $kind) {
            FootBook::standard()->get($kind, $d->path("feet[$i]"));
            $feet[$kind] = Foot::read(Data::of(['kind' => $kind, 'mount' => $machine->mount]));
        }

        return new self($machine, array_values($feet));
    }

    /** @return array<string, mixed> all of it, as read() takes it */
    public function facts(): array
    {
        return $this->machine->facts() + ['feet' => array_map(fn (Foot $f): string => $f->kind->id, $this->feet)];
    }

    /** At home: this machine alone, with nothing but its own feet. */
    public function room(): Room
    {
        return new Room([$this->machine], $this->feet);
    }
}
