<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Room;

/** Whether a lesson can be sewn in a room, on how many places at once, and what is short. */
final readonly class LessonRoom
{
    private const MOST_REASONS = 3;

    /**
     * @param  list<string>  $machines  ids of machines that sew all of it
     * @param  list<string>  $reasons  why a machine cannot; of all machines where none can
     * @param  list<array{kind: string, feet: int, best: int, shared: bool}>  $feet  for each thing to sew the best kind of foot, all feet that do, and how many are of the best kind
     */
    private function __construct(
        public array $machines,
        /** Students that can sew at the same time: machines or feet, whichever are fewer. */
        public int $places,
        public array $reasons,
        public array $feet,
    ) {}

    public static function of(Lesson $lesson, Room $room): self
    {
        if (! $lesson->machine) {
            return new self([], PHP_INT_MAX, [], []);
        }
        $able = array_fill_keys(array_map(strval(...), array_keys($room->machines)), true);
        $reasons = $able === [] ? ['No machine of this room is in use.'] : [];
        $feet = [];
        foreach ($lesson->sews as $need) {
            $with = $need->feet === [] ? $room : new Room($room->machines, array_filter($room->feet, fn (Foot $f): bool => in_array($f->kind->id, $need->feet, true)));
            if ($able !== [] && $need->feet !== [] && array_filter($with->feet, fn (Foot $f): bool => $f->count > 0) === []) {
                // One sentence, whatever machines there are.
                $able = [];
                $none = 'This room has no foot for it: '.implode(' or ', array_map(fn (string $k): string => FootBook::standard()->get($k)->title, $need->feet)).'.';
                $reasons[$none] = $none;
            }
            $usable = [];
            foreach (array_keys($able) as $machine) {
                $best = $with->bestFoot((string) $machine, $need->setup);
                if (! $best['works']) {
                    unset($able[$machine]);
                    foreach ($best['refusals'] as $refusal) {
                        $reasons[$refusal->text] = $refusal->text;
                    }

                    continue;
                }
                foreach ($with->feetFor((string) $machine, $need->setup) as $foot) {
                    $usable[$foot] = $with->feet[$foot];
                }
            }
            $kind = ($need->feet === [] ? $need->setup->stitch->kind->feet : $need->feet)[0];
            $count = fn (Foot $f): int => $f->count;
            $feet[] = [
                'kind' => $kind, 'feet' => array_sum(array_map($count, $usable)), 'shared' => $need->shared,
                'best' => array_sum(array_map($count, array_filter($usable, fn (Foot $f): bool => $f->kind->id === $kind))),
            ];
        }
        $places = count($able);
        foreach ($feet as $f) {
            $places = $f['shared'] ? $places : min($places, $f['feet']);
        }

        return new self(array_map(strval(...), array_keys($able)), $places, array_slice(array_values($reasons), 0, self::MOST_REASONS), $feet);
    }

    /**
     * Feet of which there are fewer than students, with the rounds that makes.
     *
     * @return list<array{foot: string, feet: int, rounds: int}>
     */
    public function shortages(int $students): array
    {
        $short = [];
        foreach ($this->feet as $f) {
            if ($f['best'] > 0 && $f['best'] < min($students, max(1, count($this->machines)))) {
                $title = FootBook::standard()->get($f['kind'])->title;
                $short[$title] = ['foot' => $title, 'feet' => $f['best'], 'rounds' => (int) ceil($students / $f['best'])];
            }
        }

        return array_values($short);
    }
}
