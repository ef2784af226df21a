<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Check;

use OpenSeam\Core\Measure\Judgement;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Words;

/** One value inside a band: a count as it is, a length with the ruler's uncertainty. */
final readonly class BandCheck implements Check
{
    public function __construct(private Tolerance $tolerance) {}

    public function judge(Field $field, array $values, Words $words): ?CheckResult
    {
        $value = $values[0] ?? null;
        if ($value === null) {
            return null;
        }
        $isLength = $field->kind === FieldKind::Length;
        $reading = $isLength ? Reading::ruler($value, $field->limitMm) : Reading::exact($value);
        $judgement = Judgement::of($reading, $this->tolerance);
        $limit = $this->tolerance->nearestLimit($value);
        $text = match (true) {
            $isLength => $words->length($value),
            $field->hint !== '' => $words->say('band.of', ['value' => $words->number($value), 'of' => $words->number($field->max)]),
            default => $words->number($value),
        };

        return new CheckResult(
            $judgement,
            $text,
            $judgement->verdict === Verdict::Met ? null : ($this->isLow($value) ? 'low' : 'high'),
            [$isLength ? 'value_mm' : 'value' => $value],
            $words->say('again.length', ['away' => $words->length(abs($value - $limit)), 'limit' => $words->length($limit), 'sure' => $words->length($field->limitMm)]),
            $this->off($value), $reading->u,
        );
    }

    /** On the lower side of the band, also where it is just inside and too close to call. */
    private function isLow(float $value): bool
    {
        $t = $this->tolerance;

        return match (true) {
            is_finite($t->metLow) && is_finite($t->metHigh) => $value < ($t->metLow + $t->metHigh) / 2,
            default => is_finite($t->metLow),
        };
    }

    /** From the middle of the band, or from its one limit where it is open; 0 on the right side of that. */
    private function off(float $value): float
    {
        $t = $this->tolerance;

        return match (true) {
            is_finite($t->metLow) && is_finite($t->metHigh) => abs($value - ($t->metLow + $t->metHigh) / 2),
            is_finite($t->metLow) => max(0.0, $t->metLow - $value),
            default => max(0.0, $value - $t->metHigh),
        };
    }
}
