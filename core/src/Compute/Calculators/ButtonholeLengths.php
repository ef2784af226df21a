<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Buttonhole\Button;
use OpenSeam\Core\Buttonhole\ButtonShape;
use OpenSeam\Core\Buttonhole\LengthRules;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;
use OpenSeam\Core\ValueRefused;

/** How long a buttonhole is, by five schools. */
final class ButtonholeLengths implements Calculator
{
    public function name(): string
    {
        return 'buttonhole-lengths';
    }

    public function summary(): string
    {
        return 'How long a buttonhole is by the rules in use, side by side, and whether the foot can sew it.';
    }

    public function schema(): array
    {
        return Schema::object([
            'line_mm' => Schema::number('distance of the lines on the foot’s slider', null, 50, 0),
            'shape' => Schema::oneOf('of the button', array_column(ButtonShape::cases(), 'value')),
            'diameter_mm' => Schema::number('across', null, 200, 0), 'thickness_mm' => Schema::number('through', null, 200, 0),
            'wrap_mm' => Schema::number('the whole way round, measured with a strip', null, 1000, 0), 'foot_longest_mm' => Schema::number('the longest that foot or machine can sew', null, 500, 0),
        ], ['line_mm', 'wrap_mm', 'foot_longest_mm']);
    }

    public function answer(): array
    {
        return Schema::object([
            'rules' => Schema::list('the five, and by lines where they are given', Schema::object(['id' => Schema::text('rule'), 'length_mm' => Schema::number('mm'), 'suits' => ['type' => 'boolean', 'description' => 'the rule is meant for such a button']])),
            'spread_mm' => Schema::number('longest less shortest'), 'differ' => ['type' => 'boolean', 'description' => 'by more than 3 mm: sew a test of each'],
            'recommended' => Schema::text('rule'), 'recommended_mm' => Schema::number('mm'),
            'fits_foot' => ['type' => ['boolean', 'null'], 'description' => 'null where the foot is not given'], 'estimated' => ['type' => 'boolean', 'description' => 'the half wrap is of a dome that was not measured'],
        ]);
    }

    public function example(): array
    {
        return ['shape' => 'flat', 'diameter_mm' => 15, 'thickness_mm' => 3, 'foot_longest_mm' => 27];
    }

    public function run(Data $in): array
    {
        try {
            $button = Button::of(ButtonShape::from($in->text('shape')), $in->number('diameter_mm'), $in->number('thickness_mm'), $in->numberOrNull('wrap_mm'));
        } catch (ValueRefused $e) {
            throw InputError::at('wrap_mm', $in->numberOrNull('wrap_mm'), $e->getMessage());
        }
        $rules = LengthRules::of($button, $in->numberOrNull('line_mm'));
        $longest = $in->numberOrNull('foot_longest_mm');

        return [
            'rules' => array_map(fn (string $id, array $r): array => ['id' => $id, 'length_mm' => $r['length'], 'suits' => $r['suits']], array_keys($rules->rules), $rules->rules),
            'spread_mm' => $rules->spreadMm(), 'differ' => $rules->spreadMm() > LengthRules::DIFFER_MM,
            'recommended' => $rules->recommended, 'recommended_mm' => $rules->recommendedMm(),
            'fits_foot' => $longest === null ? null : $rules->recommendedMm() <= $longest + Near::DUST, 'estimated' => $button->isEstimated(),
        ];
    }
}
