<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\RoomSchema;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\GuideFinder;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\NotALength;
use OpenSeam\Core\Measure\Unit;

/** All guides a machine has with the feet of a room, for an allowance typed as people type it. */
final class FindRoomGuide implements Calculator
{
    public function name(): string
    {
        return 'find-room-guide';
    }

    public function summary(): string
    {
        return 'The guides of one machine with its feet for an allowance: plate lines, foot edges, blades, guide foot, magnet or tape.';
    }

    public function schema(): array
    {
        return Schema::object([
            'machine' => RoomSchema::machine(), 'feet' => Schema::list('of the room', RoomSchema::foot(), 0, 500),
            'allowance' => Schema::text('a length such as 15,9 or 5/8', 40), 'unit' => Schema::oneOf('of a bare number', ['mm', 'in']),
        ]);
    }

    public function answer(): array
    {
        return Schema::object(['allowance_mm' => Schema::number('as read'), 'inches' => Schema::text('to the nearest sixteenth'), 'all' => Schema::list('best first', FindGuide::found()), 'magnets' => ['type' => 'boolean', 'description' => 'the manual allows magnets near this machine']]);
    }

    public function example(): array
    {
        return ['machine' => ['name' => 'Window 1', 'drive' => 'mechanical', 'needle_positions_mm' => [-2.5, 0, 2.5], 'plate_lines_mm' => [10, 13, 16]], 'feet' => [['kind' => 'standard'], ['kind' => 'quarter-inch']], 'allowance' => '5/8', 'unit' => 'in'];
    }

    public function run(Data $in): array
    {
        try {
            $allowance = Length::parse($in->text('allowance'), Unit::from($in->text('unit')));
        } catch (NotALength $e) {
            throw InputError::at('allowance', $in->text('allowance'), $e->getMessage());
        }
        $machine = Machine::read($in->part('machine'));
        $guides = GuideFinder::guidesOf($machine, array_map(Foot::read(...), $in->parts('feet')));

        return [
            'allowance_mm' => $allowance->inMm(), 'inches' => $allowance->asInchFraction(),
            'all' => GuideFinder::find($allowance->inMm(), $guides, $machine->swing->positionsMm), 'magnets' => $machine->magnetsAllowed,
        ];
    }
}
