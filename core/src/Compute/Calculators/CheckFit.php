<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\RoomSchema;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Clearance;
use OpenSeam\Core\Machine\Fit;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Refusal;
use OpenSeam\Core\Machine\Setup;

/** Whether a machine with a foot can sew a stitch, and every reason why not. */
final class CheckFit implements Calculator
{
    public function name(): string
    {
        return 'check-fit';
    }

    public function summary(): string
    {
        return 'Machine, foot, stitch and needle together: what refuses, what is dangerous, and the margins.';
    }

    public function schema(): array
    {
        return Schema::object(['machine' => RoomSchema::machine(), 'foot' => RoomSchema::foot()] + StitchPoints::row() + [
            'needle_size' => Schema::number('metric size; default 80', Clearance::SMALLEST_NEEDLE, Clearance::LARGEST_NEEDLE),
            'sticky_cloth' => ['type' => 'boolean', 'description' => 'leather, suede, vinyl, coated'],
        ], ['length_mm', 'width_mm', 'row_mm', 'needle_position_mm', 'gap_mm', 'stitches', 'bar_mm', 'starts', 'straight_first', 'open_bars', 'needle_size', 'sticky_cloth']);
    }

    public function answer(): array
    {
        return Schema::object([
            'works' => ['type' => 'boolean', 'description' => 'nothing refuses'],
            'refusals' => Schema::list('each with why', Schema::object([
                'rule' => Schema::text('which rule'), 'field' => Schema::text('what it is about'), 'text' => Schema::text('why', 500), 'danger' => ['type' => 'boolean', 'description' => 'needle, foot or machine may break'],
            ])),
            'margin_left_mm' => ['type' => ['number', 'null'], 'description' => 'in the foot; null on its open side'], 'margin_right_mm' => ['type' => ['number', 'null'], 'description' => 'likewise'], 'verdict' => Schema::oneOf('in the foot', ['clear', 'close', 'strike']),
            'plate_margin_mm' => Schema::number('the smaller one, in the plate’s slot'),
            'swing_mm' => Schema::list('from and to', Schema::number('mm from the centre needle'), 2, 2),
        ]);
    }

    public function example(): array
    {
        return ['machine' => ['name' => 'Window 1', 'drive' => 'mechanical', 'widest_swing_mm' => 5], 'foot' => ['kind' => 'straight'], 'stitch' => 'zigzag', 'length_mm' => 2, 'width_mm' => 3.5, 'needle_size' => 80];
    }

    public function run(Data $in): array
    {
        $machine = Machine::read($in->part('machine'));
        $foot = Foot::read($in->part('foot'));
        $setup = new Setup(StitchPoints::settings($in), $in->number('needle_size', 80.0), $in->flag('sticky_cloth'), $in->numberOrNull('row_mm'));
        $refusals = [...Fit::ofMachine($machine, $setup), ...Fit::ofFoot($machine, $foot, $setup)];
        $s = $setup->stitch;
        $clearance = Clearance::inFoot($foot, $s, $setup->needleSize);

        return [
            'works' => $refusals === [],
            'refusals' => array_map(fn (Refusal $r): array => ['rule' => $r->rule, 'field' => $r->field, 'text' => $r->text, 'danger' => $r->danger], $refusals),
            'margin_left_mm' => is_finite($clearance->leftMm) ? $clearance->leftMm : null, 'margin_right_mm' => is_finite($clearance->rightMm) ? $clearance->rightMm : null, 'verdict' => $clearance->verdict(),
            'plate_margin_mm' => Clearance::of($machine->swing->slotHalfMm, $machine->swing->slotHalfMm, $s->widthMm, $s->positionMm, $setup->needleSize)->smallestMm(),
            'swing_mm' => [$s->positionMm - $s->widthMm / 2, $s->positionMm + $s->widthMm / 2],
        ];
    }
}
