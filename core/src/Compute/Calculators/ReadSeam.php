<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\SeamPattern;
use OpenSeam\Core\Measure\SeamReading;
use OpenSeam\Core\Measure\ToleranceOutOfOrder;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\ValueRefused;

/** A seam's allowance read at several places. */
final class ReadSeam implements Calculator
{
    public function name(): string
    {
        return 'read-seam';
    }

    public function summary(): string
    {
        return 'A seam from readings along it: bias, drift, wobble, spread, the pattern and the verdict on its mean.';
    }

    public function schema(): array
    {
        return Schema::object([
            'target_mm' => Schema::number('allowance aimed at, mm', 0, 1000),
            'met_mm' => Schema::number('the mean is met within ± this, mm', 0, 1000),
            'near_mm' => Schema::number('the mean is near within ± this, mm, at least met_mm', 0, 1000),
            'readings' => Schema::list('three or more', Schema::object([
                'at_mm' => Schema::number('place along the seam, mm', 0, 100_000),
                'allowance_mm' => Schema::number('stitching to cloth edge there, mm', 0, 1000),
            ]), 3, 1000),
            'reading_limit_mm' => Schema::number('half-width of each of the ruler’s readings; default 0.5', 0, 100),
        ], ['reading_limit_mm']);
    }

    public function answer(): array
    {
        return Schema::object(
            array_fill_keys(['slope', 'intercept_mm', 'mean_mm', 'bias_mm', 'drift_mm', 'wobble_mm', 'spread_mm'], Schema::number('of the seam')) + [
                'pattern' => Schema::oneOf('what stands out', array_column(SeamPattern::cases(), 'value')), 'verdict' => Schema::oneOf('on the mean', array_column(Verdict::cases(), 'value')),
                'step' => ['anyOf' => [['type' => 'null'], Schema::object(['after' => Schema::whole('readings before it', 2, 1000), 'mm' => Schema::number('how far it jumps')])], 'description' => 'where the seam goes on along another guide'],
            ] + array_fill_keys(['p_met', 'p_near', 'p_not_yet'], Schema::number('chance', 0, 1)),
        );
    }

    public function example(): array
    {
        return [
            'target_mm' => 15.9, 'met_mm' => 1, 'near_mm' => 2,
            'readings' => [
                ['at_mm' => 15, 'allowance_mm' => 14], ['at_mm' => 45, 'allowance_mm' => 14.5], ['at_mm' => 75, 'allowance_mm' => 15.5],
                ['at_mm' => 105, 'allowance_mm' => 16], ['at_mm' => 135, 'allowance_mm' => 17],
            ],
        ];
    }

    public function run(Data $in): array
    {
        $readings = $in->parts('readings');
        try {
            $seam = SeamReading::of(
                array_map(fn (Data $r): float => $r->number('at_mm'), $readings),
                array_map(fn (Data $r): float => $r->number('allowance_mm'), $readings),
                $in->number('target_mm'), $in->number('met_mm'), $in->number('near_mm'), $in->number('reading_limit_mm', Reading::RULER_LIMIT_MM),
            );
        } catch (ToleranceOutOfOrder $e) {
            throw InputError::at('near_mm', $in->number('near_mm'), $e->getMessage());
        } catch (ValueRefused) {
            throw InputError::at('readings', count($readings), 'The readings must lie at two or more different places along the seam.');
        }

        return [
            'slope' => $seam->line->slope,
            'intercept_mm' => $seam->line->intercept,
            'mean_mm' => $seam->meanMm,
            'bias_mm' => $seam->biasMm,
            'drift_mm' => $seam->driftMm,
            'wobble_mm' => $seam->wobbleMm,
            'spread_mm' => $seam->spreadMm,
            'pattern' => $seam->pattern->value,
            'step' => $seam->step === null ? null : ['after' => $seam->step->after, 'mm' => $seam->step->mm],
            'verdict' => $seam->judgement->verdict->value,
            'p_met' => $seam->judgement->pMet,
            'p_near' => $seam->judgement->pNear,
            'p_not_yet' => $seam->judgement->pNotYet,
        ];
    }
}
