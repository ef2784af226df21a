<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\RoomSchema;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\DialTranslator;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;

/** One machine's setting on another machine's dials. */
final class TranslateDial implements Calculator
{
    public function name(): string
    {
        return 'translate-dial';
    }

    public function summary(): string
    {
        return 'What to set on one machine to sew what another sews, and how far off it comes out.';
    }

    public function schema(): array
    {
        return Schema::object([
            'from' => RoomSchema::machine(), 'to' => RoomSchema::machine(), 'stitch' => Schema::oneOf('kind', StitchBook::standard()->ids()),
            'width_mm' => Schema::number('as the first machine’s dial says', 0, 20), 'length_mm' => Schema::number('as the first machine’s dial says', 0, 50),
        ], ['width_mm']);
    }

    public function answer(): array
    {
        return Schema::object([
            'possible' => ['type' => 'boolean', 'description' => 'the second machine has the stitch'], 'stitch' => ['type' => 'string', 'description' => 'its number or letter there'],
            'width_dial' => Schema::number('to set'), 'length_dial' => Schema::number('to set'),
            'width_off_mm' => Schema::number('what comes out less what was asked'), 'length_off_mm' => Schema::number('the same, for each stroke'),
            'fixed' => ['type' => 'string', 'description' => 'mark of the nearest fixed zigzag, where width is not free'],
        ]);
    }

    public function example(): array
    {
        return [
            'from' => ['name' => 'Window 1', 'drive' => 'mechanical', 'stitch_names' => ['zigzag' => 'B']],
            'to' => ['name' => 'Window 3', 'drive' => 'computerised', 'widest_swing_mm' => 7, 'zigzag_length' => 'per-cycle', 'stitch_names' => ['zigzag' => '05']],
            'stitch' => 'zigzag', 'width_mm' => 3.5, 'length_mm' => 2,
        ];
    }

    public function run(Data $in): array
    {
        $from = Machine::read($in->part('from'));
        $kind = StitchBook::standard()->get($in->text('stitch'));
        $from->has($kind->id) || throw InputError::at('stitch', $kind->id, "{$from->name} does not have “{$kind->title}”. It has: ".implode(', ', array_keys($from->marks->stitchNames)).'.');
        $asked = StitchSettings::of($kind, DialTranslator::strokeLength($from, $in->number('length_mm'), $kind), $in->numberOrNull('width_mm'));
        $to = DialTranslator::to(Machine::read($in->part('to')), $asked);

        return [
            'possible' => $to->possible, 'stitch' => $to->stitch, 'width_dial' => $to->widthDial, 'length_dial' => $to->lengthDial,
            'width_off_mm' => $to->widthOffMm, 'length_off_mm' => $to->lengthOffMm, 'fixed' => $to->fixed,
        ];
    }
}
