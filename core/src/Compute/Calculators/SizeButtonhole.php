<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Buttonhole\Button;
use OpenSeam\Core\Buttonhole\ButtonShape;
use OpenSeam\Core\Buttonhole\LengthRules;
use OpenSeam\Core\Buttonhole\Passing;
use OpenSeam\Core\Buttonhole\SetLength;
use OpenSeam\Core\Buttonhole\SizeWay;
use OpenSeam\Core\Buttonhole\Sizing;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;
use OpenSeam\Core\ValueRefused;

/** From a button to what is set on the machine. */
final class SizeButtonhole implements Calculator
{
    public function name(): string
    {
        return 'size-buttonhole';
    }

    public function summary(): string
    {
        return 'The opening a button needs, the finished length over both bars, and what to set on this machine for it; six schools beside each other.';
    }

    public function schema(): array
    {
        return Schema::object([
            'shape' => Schema::oneOf('of the button', array_column(ButtonShape::cases(), 'value')),
            'diameter_mm' => Schema::number('across', null, 200, 0), 'thickness_mm' => Schema::number('through; of a ball its diameter', null, 200, 0),
            'wrap_mm' => Schema::number('the whole way round, measured with a strip over its thickest part', null, 1000, 0),
            'ease_mm' => Schema::number('longer than half the way round; 0 for woven cloth, and a knit gives way by itself', 0, 10), 'bar_mm' => Schema::number('a bar of this machine', 0, 10),
            'way' => Schema::oneOf('by what it is told how long it gets', array_column(SizeWay::cases(), 'value')),
            'line_mm' => Schema::number('distance of the lines of a slider', null, 50, 0), 'step_mm' => Schema::number('of the number that is typed', null, 10, 0),
            'longest_mm' => Schema::number('that foot or machine can be set to', null, 500, 0), 'offset_mm' => Schema::number('finished less set, on this machine', -20, 20),
            'school' => Schema::oneOf('followed instead of the chain', LengthRules::IDS),
        ], ['thickness_mm', 'wrap_mm', 'ease_mm', 'bar_mm', 'line_mm', 'step_mm', 'longest_mm', 'offset_mm', 'school']);
    }

    public function answer(): array
    {
        return Schema::object([
            'half_wrap_mm' => Schema::number('half the way round the button'), 'estimated' => ['type' => 'boolean', 'description' => 'a dome that was not measured: lay a strip round it'],
            'opening_mm' => Schema::number('what is cut, between the bars'), 'finished_mm' => Schema::number('over both bars'),
            'passes' => Schema::oneOf('the button through that opening', array_column(Passing::cases(), 'value')),
            'set' => Schema::object([
                'mm' => Schema::number('what machine, foot or marks are told'), 'lines' => Schema::number('of the slider, to the half'), 'comes_out_mm' => Schema::number('finished, as it can be set'),
                'error_mm' => Schema::number('that, less what is wanted'), 'add_mm' => Schema::number('beyond the button in the foot; below 0: so much less'),
            ], ['lines', 'comes_out_mm', 'error_mm', 'add_mm']),
            'fits' => ['type' => ['boolean', 'null'], 'description' => 'foot or machine can be set so long; null where its longest is not given'],
            'line_mm' => Schema::number('of the slider that its school counts by'),
            'schools' => Schema::list('side by side', Schema::object(['id' => Schema::text('rule'), 'finished_mm' => Schema::number('over both bars'), 'opening_mm' => Schema::number('between them'), 'passes' => Schema::oneOf('the button', array_column(Passing::cases(), 'value'))])),
        ]);
    }

    public function example(): array
    {
        return ['shape' => 'flat', 'diameter_mm' => 15, 'thickness_mm' => 3, 'way' => 'slider', 'line_mm' => 3.175, 'longest_mm' => 27];
    }

    public function run(Data $in): array
    {
        $way = SizeWay::from($in->text('way'));
        $size = $this->sized($in);
        $line = $in->numberOrNull('line_mm');
        $way !== SizeWay::Slider || $line !== null || throw InputError::at('line_mm', null, 'For a slider the distance of its lines must be given.');
        $offset = $in->number('offset_mm', 0.0);
        try {
            $set = SetLength::of($way, $size->finishedMm, $in->number('diameter_mm'), $offset, $line, $in->numberOrNull('step_mm') ?? 0.0);
        } catch (ValueRefused $e) {
            throw InputError::at('offset_mm', $offset, $e->getMessage());
        }
        $longest = $in->numberOrNull('longest_mm');

        return [
            'half_wrap_mm' => $size->halfWrapMm, 'estimated' => $size->estimated, 'opening_mm' => $size->openingMm, 'finished_mm' => $size->finishedMm,
            'passes' => Passing::of($size->openingMm, $size->halfWrapMm)->value,
            'set' => $set->said(), 'fits' => $longest === null ? null : $set->mm <= $longest + Near::DUST,
            'line_mm' => $size->lineMm, 'schools' => $size->schools,
        ];
    }

    /** @throws InputError when the measures cannot be those of such a button */
    private function sized(Data $in): Sizing
    {
        $shape = ButtonShape::from($in->text('shape'));
        $across = $in->number('diameter_mm');
        $through = $in->numberOrNull('thickness_mm') ?? ($shape === ButtonShape::Ball ? $across : throw InputError::at('thickness_mm', null, 'Of all buttons but a ball the thickness must be given, mm.'));
        $field = 'wrap_mm';
        try {
            $button = Button::of($shape, $across, $through, $in->numberOrNull('wrap_mm'));
            $shape === ButtonShape::Ball && $field = 'thickness_mm';
            Sizing::askBack($button);
            $field = 'school';

            return Sizing::of($button, $in->number('ease_mm', 0.0), $in->number('bar_mm', Sizing::BAR_MM), $in->numberOrNull('line_mm'), $in->has('school') ? $in->text('school') : null);
        } catch (ValueRefused $e) {
            throw InputError::at($field, $in->raw()[$field] ?? null, $e->getMessage());
        }
    }
}
