<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Room;

/**
 * One way of a lesson in a room: the machines that sew it so, and the feet for it.
 *
 * @phpstan-type Feet array{kind: string, feet: int, best: int, shared: bool}
 */
final readonly class WayInRoom
{
    /**
     * @param  list<string>  $machines  ids
     * @param  list<Feet>  $feet  for each thing to sew the best kind of foot, all feet that do, and how many are of the best kind
     */
    private function __construct(public Lesson $lesson, public array $machines, public array $feet) {}

    /** @param  list<string>  $machines  that sew all of it */
    public static function of(Lesson $lesson, array $machines, Room $room): self
    {
        return new self($lesson, $machines, array_map(fn (SewNeed $need): array => self::feet($need, $machines, $room), $lesson->sews));
    }

    /** Students that can sew it at the same time: machines or feet, whichever are fewer. */
    public function places(): int
    {
        return min([count($this->machines), ...array_column(array_filter($this->feet, fn (array $f): bool => ! $f['shared']), 'feet')]);
    }

    /**
     * @param  list<string>  $machines
     * @return Feet
     */
    private static function feet(SewNeed $need, array $machines, Room $room): array
    {
        $with = $need->within($room);
        $usable = [];
        foreach ($machines as $machine) {
            foreach ($with->feetFor($machine, $need->setup) as $foot) {
                $usable[$foot] = $with->feet[$foot];
            }
        }
        $kind = ($need->feet === [] ? $need->setup->stitch->kind->feet : $need->feet)[0];
        $count = fn (Foot $f): int => $f->count;

        return [
            'kind' => $kind, 'feet' => array_sum(array_map($count, $usable)), 'shared' => $need->shared,
            'best' => array_sum(array_map($count, array_filter($usable, fn (Foot $f): bool => $f->kind->id === $kind))),
        ];
    }
}
