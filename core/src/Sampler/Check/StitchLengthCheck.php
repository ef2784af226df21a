<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Check;

use OpenSeam\Core\Measure\StitchLength;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Words;

/** Stitch length from a count over a span. */
final readonly class StitchLengthCheck implements Check
{
    public function __construct(
        private float $targetMm,
        private float $metMm,
        private float $nearMm,
    ) {}

    /** Half or double of what was asked for: not a dial a touch off, but a length that was meant otherwise. */
    private function twice(float $length, Words $words): ?string
    {
        return match (true) {
            abs(2 * $length - $this->targetMm) <= $this->metMm => $words->say('habit.half-length'),
            abs($length / 2 - $this->targetMm) <= $this->metMm => $words->say('habit.double-length'),
            default => null,
        };
    }

    public function judge(Field $field, array $values, Words $words): ?CheckResult
    {
        [$stitches, $span] = [$values[0] ?? null, $values[1] ?? null];
        if ($stitches === null || $span === null) {
            return null;
        }
        $read = StitchLength::counted($stitches, $span, Tolerance::around($this->targetMm, $this->metMm, $this->nearMm), $field->limitMm, $field->oneSide);
        $length = $read->reading->value;

        return new CheckResult(
            $read->judgement,
            $words->say('stitch', ['length' => $words->mm($length, 2), 'u' => $words->mm($read->reading->expanded(), 2)]),
            $read->judgement->verdict === Verdict::Met ? null : ($length < $this->targetMm ? 'low' : 'high'),
            ['length_mm' => $length, 'u_mm' => $read->reading->u, 'stitches_to_decide' => $read->stitchesToDecide],
            $read->stitchesToDecide === null
                ? $words->say('again.stitch-limit')
                : $words->say('again.stitch', ['count' => (string) $read->stitchesToDecide, 'span' => $words->mm($read->stitchesToDecide * $length * ($field->oneSide ? 2 : 1), 0)]),
            abs($length - $this->targetMm), $read->reading->u,
            $field->oneSide && $read->judgement->verdict === Verdict::NotYet ? $this->twice($length, $words) : null,
        );
    }
}
