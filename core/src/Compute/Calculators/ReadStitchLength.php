<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\StitchLength;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\ToleranceOutOfOrder;
use OpenSeam\Core\Measure\Verdict;

/** Stitch length by counting, with its uncertainty and verdict. */
final class ReadStitchLength implements Calculator
{
    public function name(): string
    {
        return 'read-stitch-length';
    }

    public function summary(): string
    {
        return 'Stitch length from a count over a span: L ± U, the verdict, and how many stitches would decide.';
    }

    public function schema(): array
    {
        return Schema::object([
            'stitches' => Schema::number('stitches counted; halves are allowed', 0.5, 10_000),
            'span_mm' => Schema::number('the span they were counted over, mm', 1, 100_000),
            'target_mm' => Schema::number('stitch length aimed at, mm', null, 100, 0),
            'met_mm' => Schema::number('met within ± this, mm', 0, 100),
            'near_mm' => Schema::number('near within ± this, mm, at least met_mm', 0, 100),
            'counted' => Schema::oneOf('strokes, or points on one side of a zigzag: two strokes each; default strokes', ['strokes', 'one-side']),
            'counting' => Schema::oneOf('to the nearest half, or only whole stitches: half a stitch is added; default nearest', ['nearest', 'complete']),
            'reading_limit_mm' => Schema::number('half-width of the ruler’s reading; default 0.5', 0, 100),
        ], ['counted', 'counting', 'reading_limit_mm']);
    }

    public function answer(): array
    {
        return Schema::object([
            'length_mm' => Schema::number('mm'), 'u_mm' => Schema::number('standard uncertainty'), 'expanded_mm' => Schema::number('U, k = 2'),
            'p_met' => Schema::number('chance', 0, 1), 'p_near' => Schema::number('chance', 0, 1), 'p_not_yet' => Schema::number('chance', 0, 1),
            'verdict' => Schema::oneOf('from 0.8 on', array_column(Verdict::cases(), 'value')), 'stitches_to_decide' => ['type' => ['integer', 'null'], 'description' => 'null when decided'],
        ]);
    }

    public function example(): array
    {
        return ['stitches' => 10, 'span_mm' => 25, 'target_mm' => 2.5, 'met_mm' => 0.2, 'near_mm' => 0.4];
    }

    public function run(Data $in): array
    {
        try {
            $tolerance = Tolerance::around($in->number('target_mm'), $in->number('met_mm'), $in->number('near_mm'));
        } catch (ToleranceOutOfOrder $e) {
            throw InputError::at('near_mm', $in->number('near_mm'), $e->getMessage());
        }
        $read = StitchLength::counted($in->number('stitches'), $in->number('span_mm'), $tolerance, $in->number('reading_limit_mm', Reading::RULER_LIMIT_MM), $in->text('counted', 'strokes') === 'one-side', $in->text('counting', 'nearest') === 'complete');

        return [
            'length_mm' => $read->reading->value,
            'u_mm' => $read->reading->u,
            'expanded_mm' => $read->reading->expanded(),
            'p_met' => $read->judgement->pMet,
            'p_near' => $read->judgement->pNear,
            'p_not_yet' => $read->judgement->pNotYet,
            'verdict' => $read->judgement->verdict->value,
            'stitches_to_decide' => $read->stitchesToDecide,
        ];
    }
}
