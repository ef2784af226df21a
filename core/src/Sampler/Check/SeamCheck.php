<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Check;

use OpenSeam\Core\Measure\Judgement;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\SeamPattern;
use OpenSeam\Core\Measure\SeamReading;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Near;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Words;

/** A seam from readings at marks: its mean against the target, or its spread. */
final readonly class SeamCheck implements Check
{
    private function __construct(
        private bool $spread,
        private float $targetMm,
        private float $metMm,
        private float $nearMm,
    ) {}

    /** The mean allowance within ±met of the target. */
    public static function mean(float $targetMm, float $metMm, float $nearMm): self
    {
        return new self(false, $targetMm, $metMm, $nearMm);
    }

    /** Largest less smallest reading, at most met. */
    public static function spread(float $targetMm, float $metMm, float $nearMm): self
    {
        return new self(true, $targetMm, $metMm, $nearMm);
    }

    public function judge(Field $field, array $values, Words $words): ?CheckResult
    {
        $at = [];
        $read = [];
        $marks = [];
        foreach ($values as $i => $value) {
            if ($value !== null) {
                $at[] = $field->marks[$i]->atMm ?? 0.0;
                $read[] = $value;
                $marks[] = (string) ($i + 1);
            }
        }
        if (count($read) < 3 || $at === []) {
            return null;
        }
        // Spread is judged to twice the mean's tolerance; the pattern is read on the mean's scale.
        $scale = $this->spread ? 0.5 : 1.0;
        $seam = SeamReading::of($at, $read, $this->targetMm, $this->metMm * $scale, $this->nearMm * $scale, $field->limitMm);
        $figures = [
            'mean_mm' => $seam->meanMm, 'bias_mm' => $seam->biasMm, 'drift_mm' => $seam->driftMm,
            'wobble_mm' => $seam->wobbleMm, 'spread_mm' => $seam->spreadMm, 'pattern' => $seam->pattern->value,
        ];

        return $this->spread
            ? $this->judgeSpread($field, $seam, max($at) - min($at), $figures, ['wide' => $marks[(int) array_search(max($read), $read, true)], 'narrow' => $marks[(int) array_search(min($read), $read, true)]], $words)
            : $this->judgeMean($field, $seam, $figures, $marks[self::furthest($read)], $words);
    }

    /**
     * The reading that lies furthest from the mean of the others.
     *
     * @param  non-empty-list<float>  $read
     */
    private static function furthest(array $read): int
    {
        $mean = array_sum($read) / count($read);
        $away = array_map(fn (float $r): float => abs($r - $mean), $read);

        return (int) array_search(max($away), $away, true);
    }

    /**
     * @param  array<string, float|string>  $figures
     * @param  string  $mark  the one to read again
     */
    private function judgeMean(Field $field, SeamReading $seam, array $figures, string $mark, Words $words): CheckResult
    {
        $met = $seam->judgement->verdict === Verdict::Met;
        $bias = $seam->biasMm;

        return new CheckResult(
            $seam->judgement,
            $words->say(abs($bias) < 0.05 ? 'mean.on' : ($bias < 0 ? 'mean.under' : 'mean.over'), [
                'mean' => $words->length($seam->meanMm), 'bias' => $words->length(abs($bias)),
            ]),
            $met ? null : ($bias < 0 ? 'low' : 'high'),
            $figures,
            $words->say('again.mean', ['mark' => $mark]),
            abs($bias), Reading::rulerMean($seam->meanMm, $seam->line->n, $field->limitMm, $seam->spreadMm < Near::DUST)->u,
            in_array($seam->judgement->verdict, [Verdict::Met, Verdict::Unsure], true) || $seam->pattern !== SeamPattern::Offset || $seam->step !== null ? null : $words->say('habit.offset'),
        );
    }

    /**
     * @param  array<string, float|string>  $figures
     * @param  array{wide: string, narrow: string}  $marks  that settle it
     */
    private function judgeSpread(Field $field, SeamReading $seam, float $overMm, array $figures, array $marks, Words $words): CheckResult
    {
        $judgement = Judgement::of(Reading::rulerDifference($seam->spreadMm, $field->limitMm), Tolerance::atMost($this->metMm, $this->nearMm));
        // Only the pattern of the spread counts here; an offset belongs to the mean.
        $pattern = $seam->pattern;
        if ($judgement->verdict !== Verdict::Met && ($pattern === SeamPattern::Good || $pattern === SeamPattern::Offset)) {
            $pattern = $seam->line->sumSquaresSlope >= $seam->line->sumSquaresResidual ? SeamPattern::Drift : SeamPattern::Wobble;
        }
        $steady = $judgement->verdict === Verdict::Met;
        $named = $steady ? 'steady' : ($seam->step === null ? $pattern->value : 'step');

        return new CheckResult(
            $judgement,
            $words->say("spread.$named", [
                'step' => $words->length(abs($seam->step->mm ?? 0.0)), 'after' => (string) ($seam->step->after ?? 0),
                'spread' => $words->length($seam->spreadMm), 'drift' => $words->signed($seam->driftMm),
                'wobble' => $words->length($seam->wobbleMm), 'over' => $words->about($overMm),
            ]),
            $steady ? null : $pattern->value,
            $figures,
            $words->say('again.spread', $marks),
            $seam->spreadMm, Reading::rulerDifference($seam->spreadMm, $field->limitMm)->u,
            $steady ? null : $words->say("habit.$named"),
        );
    }
}
