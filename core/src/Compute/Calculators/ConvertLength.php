<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\NotALength;
use OpenSeam\Core\Measure\Unit;

/** Millimetres and inches, typed as people type them. */
final class ConvertLength implements Calculator
{
    public function name(): string
    {
        return 'convert-length';
    }

    public function summary(): string
    {
        return 'A length in mm and as the nearest 1/16 inch, from a number or typed text.';
    }

    public function schema(): array
    {
        return Schema::object([
            'value' => ['type' => ['number', 'string'], 'description' => 'a number, or text such as "1 1/2", "5/8", "15,9"', 'maxLength' => 40],
            'unit' => Schema::oneOf('the unit of the value', ['mm', 'in']),
        ]);
    }

    public function answer(): array
    {
        return Schema::object(['mm' => Schema::number('mm'), 'inches' => Schema::text('to the nearest sixteenth'), 'leftover_mm' => Schema::number('mm less the sixteenth')]);
    }

    public function example(): array
    {
        return ['value' => '5/8', 'unit' => 'in'];
    }

    public function run(Data $in): array
    {
        $unit = Unit::from($in->text('unit'));
        $value = $in->raw()['value'] ?? null;
        try {
            $length = match (true) {
                is_string($value) => Length::parse($value, $unit),
                $unit === Unit::Inch => Length::inches($in->number('value')),
                default => Length::mm($in->number('value')),
            };
        } catch (NotALength $e) {
            throw InputError::at('value', $value, $e->getMessage());
        }

        return ['mm' => $length->inMm(), 'inches' => $length->asInchFraction(), 'leftover_mm' => $length->leftoverMm()];
    }
}
