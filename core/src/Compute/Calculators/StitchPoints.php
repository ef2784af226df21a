<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;

/** Where the needle goes down along a row. */
final class StitchPoints implements Calculator
{
    public function name(): string
    {
        return 'stitch-points';
    }

    public function summary(): string
    {
        return 'Needle points of a row of any stitch, [along, across] in mm, in sewing order.';
    }

    public function schema(): array
    {
        return Schema::object(self::row(), ['length_mm', 'width_mm', 'needle_position_mm', 'gap_mm', 'stitches', 'bar_mm', 'starts', 'straight_first', 'open_bars']);
    }

    /** @return array<string, array<string, mixed>> */
    public static function row(): array
    {
        return [
            'stitch' => Schema::oneOf('kind', StitchBook::standard()->ids()),
            'length_mm' => Schema::number('for each stroke, mm; default the usual one', 0, 100),
            'width_mm' => Schema::number('of the swing, mm; default the usual one; a straight stitch has none', 0, 100),
            'row_mm' => Schema::number('length of the row; of a buttonhole its finished length', null, NeedlePoints::LONGEST_ROW_MM, 0),
            'needle_position_mm' => Schema::number('middle of the swing, left negative; default 0', -100, 100),
            'gap_mm' => Schema::number('between the sides of a buttonhole; default 0.6', 0, 100),
            'stitches' => Schema::whole('of each bar of a buttonhole (default 6), of a button (default 7)', 2, 40),
            'bar_mm' => Schema::number('each bar of a buttonhole, along it; default 1.5', 0, 100), 'starts' => Schema::oneOf('the end of a buttonhole that is sewn first; default front, where the row begins', ['front', 'back']),
            'straight_first' => ['type' => 'boolean', 'description' => 'straight rows of a buttonhole before its zigzag'],
            'open_bars' => ['type' => 'boolean', 'description' => 'bars of a buttonhole as an open zigzag, for cloth that stretches both ways'],
        ];
    }

    public static function settings(Data $in): StitchSettings
    {
        return StitchSettings::of(
            StitchBook::standard()->get($in->text('stitch')), $in->numberOrNull('length_mm'), $in->numberOrNull('width_mm'),
            $in->number('needle_position_mm', 0.0), $in->numberOrNull('gap_mm'), $in->has('stitches') ? $in->whole('stitches') : null,
            $in->numberOrNull('bar_mm'), $in->text('starts', 'front') === 'back', $in->flag('straight_first', false), $in->flag('open_bars', false),
        );
    }

    public function answer(): array
    {
        return Schema::object(['points' => Schema::points()]);
    }

    public function example(): array
    {
        return ['stitch' => 'zigzag', 'length_mm' => 2, 'width_mm' => 3.5, 'row_mm' => 20, 'needle_position_mm' => 0];
    }

    public function run(Data $in): array
    {
        return ['points' => NeedlePoints::along(self::settings($in), $in->number('row_mm'))];
    }
}
