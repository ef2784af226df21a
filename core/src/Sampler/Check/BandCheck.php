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
        $judgement = Judgement::of($isLength ? Reading::ruler($value, $field->limitMm) : Reading::exact($value), $this->tolerance);
        $text = match (true) {
            $isLength => $words->length($value),
            $field->hint !== '' => $words->say('band.of', ['value' => $words->number($value), 'of' => $words->number($field->max)]),
            default => $words->number($value),
        };

        return new CheckResult(
            $judgement,
            $text,
            $judgement->verdict === Verdict::Met ? null : ($value < $this->tolerance->metLow ? 'low' : 'high'),
            [$isLength ? 'value_mm' : 'value' => $value],
            $words->say('again.length'),
        );
    }
}
