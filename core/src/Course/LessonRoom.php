<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Room;

/**
 * Whether a lesson can be sewn in a room, on how many places at once, and what is
 * short. A machine that cannot sew it the way it is taught sews it another way,
 * where the lesson has one.
 */
final readonly class LessonRoom
{
    private const MOST_REASONS = 3;

    /**
     * @param  list<string>  $machines  ids of machines that sew all of it
     * @param  list<string>  $reasons  why a machine cannot sew it the way it is taught; of all machines where none can
     * @param  list<WayInRoom>  $ways  the way it is taught first
     */
    private function __construct(
        public array $machines,
        /** Students that can sew at the same time: machines or feet, whichever are fewer. */
        public int $places,
        public array $reasons,
        public array $ways,
    ) {}

    public static function of(Lesson $lesson, Room $room): self
    {
        if (! $lesson->machine) {
            return new self([], PHP_INT_MAX, [], []);
        }
        $reasons = $room->machines === [] ? ['No machine of this room is in use.'] : [];
        // Its other ways are read when a machine refuses the one that is taught.
        $others = null;
        $able = [];
        $sewn = [$lesson->way->key() => [$lesson, []]];
        foreach ($room->machines as $id => $machine) {
            $here = $lesson->on($machine);
            $refused = self::refusals($here, (string) $id, $room);
            array_push($reasons, ...$refused);
            foreach ($refused === [] ? [] : $others ??= $lesson->others() as $other) {
                $here = $other->on($machine);
                if (self::refusals($here, (string) $id, $room) === []) {
                    $refused = [];
                    break;
                }
            }
            if ($refused === []) {
                $able[] = (string) $id;
                $sewn[$here->way->key()] = [$here, [...($sewn[$here->way->key()][1] ?? []), (string) $id]];
            }
        }
        // The way it is taught is named even where no machine sews it so, unless it is sewn another way.
        $ways = array_values(array_map(fn (array $s): WayInRoom => WayInRoom::of($s[0], $s[1], $room), array_filter($sewn, fn (array $s): bool => $s[1] !== [] || $able === [])));

        return new self($able, array_sum(array_map(fn (WayInRoom $w): int => $w->places(), $ways)), array_slice(array_values(array_unique($reasons)), 0, self::MOST_REASONS), $ways);
    }

    /** Whether any machine of a room sews all of it the way it is taught: what is asked first, and most lessons need no more. */
    public static function isSewnAsTaught(Lesson $lesson, Room $room): bool
    {
        if (! $lesson->machine) {
            return true;
        }
        foreach ($room->machines as $id => $machine) {
            if (self::refusals($lesson->on($machine), (string) $id, $room) === []) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<string, Lesson>  $lessons  by id
     * @return list<string> those that can be sewn in a room
     */
    public static function sewnIn(Room $room, array $lessons): array
    {
        return array_values(array_map(fn (Lesson $l): string => $l->id, array_filter($lessons, fn (Lesson $l): bool => self::isSewnAsTaught($l, $room) || self::of($l, $room)->places > 0)));
    }

    /** The lesson as it is sewn on a machine; null where it is not sewn there at all. */
    public function on(string $machine): ?Lesson
    {
        foreach ($this->ways as $way) {
            if (in_array($machine, $way->machines, true)) {
                return $way->lesson;
            }
        }

        return null;
    }

    /**
     * Feet of which there are fewer than students, with the rounds that makes.
     *
     * @return list<array{foot: string, feet: int, rounds: int}>
     */
    public function shortages(int $students): array
    {
        $short = [];
        foreach ($this->ways as $way) {
            foreach ($way->feet as $f) {
                // Those who sew it another way need none of these.
                $sewing = (int) ceil($students * count($way->machines) / max(1, count($this->machines)));
                if ($f['best'] > 0 && $f['best'] < min($sewing, max(1, count($way->machines)))) {
                    $title = FootBook::standard()->get($f['kind'])->title;
                    $short[$title] = ['foot' => $title, 'feet' => $f['best'], 'rounds' => (int) ceil($sewing / $f['best'])];
                }
            }
        }

        return array_values($short);
    }

    /** @return list<string> why one machine cannot sew all of it; empty when it can */
    private static function refusals(Lesson $lesson, string $machine, Room $room): array
    {
        foreach ($lesson->sews as $need) {
            $with = $need->within($room);
            if ($need->feet !== [] && array_filter($with->feet, fn (Foot $f): bool => $f->count > 0) === []) {
                // One sentence, whatever machines there are.
                return ['This room has no foot for it: '.implode(' or ', array_map(fn (string $k): string => FootBook::standard()->get($k)->title, $need->feet)).'.'];
            }
            $best = $with->bestFoot($machine, $need->setup);
            if (! $best['works']) {
                return array_map(fn ($refusal): string => $refusal->text, $best['refusals']);
            }
        }

        return [];
    }
}
