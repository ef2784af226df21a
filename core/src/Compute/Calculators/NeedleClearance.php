<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Clearance;

/** Room beside the needle in a foot's opening or a plate's slot. */
final class NeedleClearance implements Calculator
{
    public function name(): string
    {
        return 'needle-clearance';
    }

    public function summary(): string
    {
        return 'Margins of the needle in an opening: clear, close or strike. Turn the hand wheel first in any case.';
    }

    public function schema(): array
    {
        return Schema::object([
            'opening_left_mm' => Schema::number('from the centre needle to the left wall, mm', 0, 50),
            'opening_right_mm' => Schema::number('from the centre needle to the right wall, mm', 0, 50),
            'stitch_width_mm' => Schema::number('width of the swing, mm; 0 for a straight stitch', 0, 20),
            'needle_position_mm' => Schema::number('middle of the swing from the centre, left negative, mm', -20, 20),
            'needle_size' => Schema::number('metric size, hundredths of a mm', Clearance::SMALLEST_NEEDLE, Clearance::LARGEST_NEEDLE),
        ]);
    }

    public function answer(): array
    {
        return Schema::object([
            'margin_left_mm' => Schema::number('below 0: it strikes'), 'margin_right_mm' => Schema::number('below 0: it strikes'),
            'verdict' => Schema::oneOf('by the smaller margin', ['clear', 'close', 'strike']),
        ]);
    }

    public function example(): array
    {
        return ['opening_left_mm' => 3.5, 'opening_right_mm' => 3.5, 'stitch_width_mm' => 5, 'needle_position_mm' => 0, 'needle_size' => 80];
    }

    public function run(Data $in): array
    {
        $clearance = Clearance::of(
            $in->number('opening_left_mm'), $in->number('opening_right_mm'), $in->number('stitch_width_mm'), $in->number('needle_position_mm'), $in->number('needle_size'),
        );

        return ['margin_left_mm' => $clearance->leftMm, 'margin_right_mm' => $clearance->rightMm, 'verdict' => $clearance->verdict()];
    }
}
