<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use OpenSeam\Core\Near;
use OpenSeam\Core\ValueRefused;

/**
 * A seam's allowance from readings at known places along it.
 *
 * The squared distance from the target splits exactly into offset, drift and
 * wobble: Σ(y−target)² = n·bias² + slope²·Sxx + SSE (analysis of variance of a
 * straight line). The pattern is the part that weighs most, among those that
 * are out of tolerance. Good: the mean within the met tolerance and the spread
 * within twice that, which is how the craft's own table pairs the two.
 */
final readonly class SeamReading
{
    private function __construct(
        public LeastSquares $line,
        public float $meanMm,
        public float $biasMm,
        /** Slope × the length between the first and the last mark, mm. */
        public float $driftMm,
        /** Residual standard deviation (n−2), mm. */
        public float $wobbleMm,
        public float $spreadMm,
        public SeamPattern $pattern,
        /** Where it goes on along another guide; null where it does not. */
        public ?SeamStep $step,
        /** Of the mean allowance. */
        public Judgement $judgement,
    ) {}

    /**
     * @param  list<float>  $atMm  places along the seam, mm
     * @param  list<float>  $allowanceMm  distance from stitching to cloth edge there, mm
     * @param  float  $metMm  half-width of the met band round the target, mm
     * @param  float  $nearMm  half-width of the near band, mm, at least $metMm
     * @param  float  $limitMm  half-width of each of the ruler's readings, mm
     *
     * @throws ValueRefused below three readings, or all at one place
     */
    public static function of(array $atMm, array $allowanceMm, float $targetMm, float $metMm, float $nearMm, float $limitMm = Reading::RULER_LIMIT_MM): self
    {
        $n = count($atMm);
        if ($n < 3 || $n !== count($allowanceMm)) {
            throw new ValueRefused('A seam needs three or more readings.');
        }
        array_multisort($atMm, SORT_NUMERIC, $allowanceMm);
        $line = LeastSquares::fit($atMm, $allowanceMm);
        $spread = max($allowanceMm) - min($allowanceMm);
        $bias = $line->meanY - $targetMm;

        return new self(
            line: $line,
            meanMm: $line->meanY,
            biasMm: $bias,
            driftMm: $line->slope * ($atMm[$n - 1] - $atMm[0]),
            wobbleMm: $line->residualSd,
            spreadMm: $spread,
            step: $spread > 2 * $metMm ? SeamStep::find($allowanceMm, $line->sumSquaresResidual, $metMm) : null,
            pattern: self::pattern($line, $allowanceMm, $bias, $spread, $metMm),
            judgement: Judgement::of(
                Reading::rulerMean($line->meanY, $n, $limitMm, $spread < Near::DUST),
                Tolerance::around($targetMm, $metMm, $nearMm),
            ),
        );
    }

    /** @param  list<float>  $allowances in order along the seam */
    private static function pattern(LeastSquares $line, array $allowances, float $bias, float $spread, float $met): SeamPattern
    {
        // Guards against 0.1 + 0.2 style dust at the very limit.
        $dust = Near::DUST;
        $off = abs($bias) > $met + $dust;
        $scattered = $spread > 2 * $met + $dust;
        if (! $off && ! $scattered) {
            return SeamPattern::Good;
        }
        if ($scattered && self::oneEndStrays($allowances, $met)) {
            return SeamPattern::EndWander;
        }
        $parts = [];
        if ($off) {
            $parts[SeamPattern::Offset->value] = $line->n * $bias ** 2;
        }
        if ($scattered) {
            $parts[SeamPattern::Drift->value] = $line->sumSquaresSlope;
            $parts[SeamPattern::Wobble->value] = $line->sumSquaresResidual;
        }
        arsort($parts);

        return SeamPattern::from((string) array_key_first($parts));
    }

    /**
     * One end alone leaves the row: without it the rest lies within the met
     * tolerance, with it further from their mean than twice that. A steady
     * drift can never pass for this: its rest is spread out too.
     *
     * @param  list<float>  $allowances
     */
    private static function oneEndStrays(array $allowances, float $met): bool
    {
        foreach ([0, count($allowances) - 1] as $end) {
            $rest = $allowances;
            unset($rest[$end]);
            if (count($rest) >= 3 && max($rest) - min($rest) <= $met && abs($allowances[$end] - array_sum($rest) / count($rest)) > 2 * $met) {
                return true;
            }
        }

        return false;
    }
}
