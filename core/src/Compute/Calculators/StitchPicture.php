<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\SewingTime;
use OpenSeam\Core\Stitch\ThreadUse;

/** All there is to show of a row: both faces, thread, time. */
final class StitchPicture implements Calculator
{
    public function name(): string
    {
        return 'stitch-picture';
    }

    public function summary(): string
    {
        return 'A row drawn from both faces, with stitches per inch, thread, bobbins and minutes.';
    }

    public function schema(): array
    {
        return Schema::object(StitchPoints::row() + [
            'stack_mm' => Schema::number('thickness of all layers, mm; default 0.6', 0, 20),
            'strokes_per_minute' => Schema::number('of the machine at full speed; default 800', 50, 6000),
        ], ['length_mm', 'width_mm', 'needle_position_mm', 'gap_mm', 'stitches', 'bar_mm', 'starts', 'straight_first', 'open_bars', 'stack_mm', 'strokes_per_minute']);
    }

    public function answer(): array
    {
        return Schema::object([
            'title' => Schema::text('the stitch'), 'about' => Schema::text('what it is for'),
            'iso_4915' => ['type' => ['string', 'null'], 'description' => 'class number'], 'iso_source' => Schema::text('where the number is from'),
            'length_mm' => Schema::number('for each stroke'), 'width_mm' => Schema::number('of the swing'),
            'length_range_mm' => Schema::list('least and most', Schema::number('mm'), 2, 2), 'width_range_mm' => Schema::list('least and most', Schema::number('mm'), 2, 2),
            'right_side' => Schema::points(), 'underside' => Schema::points(),
            'stitches' => Schema::whole('strokes of the row', 0, NeedlePoints::MOST_POINTS), 'per_inch' => ['type' => ['number', 'null'], 'description' => 'stitches per inch; null where nothing is fed'],
            'top_mm' => Schema::number('thread'), 'bobbin_mm' => Schema::number('thread'), 'ratio' => Schema::number('both threads to row'),
            'minutes' => Schema::number('for a beginner'),
        ]);
    }

    public function example(): array
    {
        return ['stitch' => 'satin', 'length_mm' => 0.4, 'width_mm' => 5, 'row_mm' => 30, 'needle_position_mm' => 0, 'stack_mm' => 0.8, 'strokes_per_minute' => 800];
    }

    public function run(Data $in): array
    {
        $settings = StitchPoints::settings($in);
        $kind = $settings->kind;
        $points = NeedlePoints::along($settings, $in->number('row_mm'));
        $use = ThreadUse::ofPoints($points, $in->number('stack_mm', 0.6), $in->number('row_mm'));
        $strokes = count($points) - 1;

        return [
            'title' => $kind->title, 'about' => $kind->about, 'iso_4915' => $kind->iso4915, 'iso_source' => $kind->isoSource,
            'length_mm' => $settings->lengthMm, 'width_mm' => $settings->widthMm,
            'length_range_mm' => [$kind->length->min, $kind->length->max], 'width_range_mm' => [$kind->width->min, $kind->width->max],
            'right_side' => $points,
            // Turned over, left and right change places; the bobbin thread runs from hole to hole as the top one does.
            'underside' => array_map(fn (array $p): array => [$p[0], $p[1] === 0.0 ? 0.0 : -$p[1]], $points),
            'stitches' => $strokes, 'per_inch' => $settings->lengthMm > 0 ? Length::MM_PER_INCH / $settings->lengthMm : null,
            'top_mm' => $use->topMm, 'bobbin_mm' => $use->bobbinMm, 'ratio' => $use->ratio,
            'minutes' => SewingTime::minutes($strokes, $in->number('strokes_per_minute', 800.0)),
        ];
    }
}
