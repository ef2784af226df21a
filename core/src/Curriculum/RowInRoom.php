<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Course\SewNeed;
use OpenSeam\Core\Machine\Clearance;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Refusal;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Machine\Setup;
use OpenSeam\Core\Sampler\Row;

/** Whether a machine of the room sews a row: with which foot, and how much room the needle has beside it. */
final readonly class RowInRoom
{
    private function __construct(
        public string $machine,
        public bool $works,
        public string $foot,
        /** Least room between needle and foot, mm; null where it cannot be sewn. */
        public ?float $marginMm,
        /** "clear", "close" or "strike" */
        public string $clearance,
        public string $why,
    ) {}

    /**
     * @param  list<SewNeed>  $needs  of the lesson: which feet it names
     * @return list<self> one for each machine
     */
    public static function of(Row $row, array $needs, Room $room): array
    {
        $setup = new Setup($row->stitch, rowMm: $row->path?->lengthMm());
        $feet = [];
        foreach ($needs as $need) {
            if ($need->setup->stitch->kind->id === $row->stitch->kind->id) {
                $feet = [...$feet, ...$need->feet];
            }
        }
        $with = $feet === [] ? $room : new Room($room->machines, array_filter($room->feet, fn (Foot $f): bool => in_array($f->kind->id, $feet, true)));
        $found = [];
        foreach ($room->machines as $id => $machine) {
            $best = $with->bestFoot((string) $id, $setup);
            $foot = $best['foot'] === null ? null : $with->feet[$best['foot']];
            $margin = $foot === null ? null : Clearance::of($foot->openingLeftMm, $foot->openingRightMm, $row->stitch->widthMm, $row->stitch->positionMm, $setup->needleSize)->smallestMm();
            $found[] = new self($machine->name, $best['works'], $foot->name ?? '', $margin, $best['clearance'], implode(' ', array_map(fn (Refusal $r): string => $r->text, array_slice($best['refusals'], 0, 1))));
        }

        return $found;
    }
}
