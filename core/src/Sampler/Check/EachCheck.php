<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Check;

use OpenSeam\Core\Measure\Judgement;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Words;

/** Every one of several readings near the target: all of them must be, and the furthest one is named. */
final readonly class EachCheck implements Check
{
    public function __construct(
        private float $targetMm,
        private float $metMm,
        private float $nearMm,
        /** How closely the target itself was read, mm; 0 where it is given. */
        private float $targetLimitMm = 0.0,
    ) {}

    /** The same about what was measured on the sample's own foot instead of what the lesson takes for usual. */
    public function aimedAt(float $targetMm, float $limitMm): self
    {
        return new self($targetMm, $this->metMm, $this->nearMm, $limitMm);
    }

    public function judge(Field $field, array $values, Words $words): ?CheckResult
    {
        if ($values === [] || in_array(null, $values, true)) {
            return null;
        }
        $errors = array_map(fn (?float $v): float => (float) $v - $this->targetMm, $values);
        $worst = 0;
        foreach ($errors as $i => $error) {
            $worst = abs($error) > abs($errors[$worst]) ? $i : $worst;
        }
        $reading = Reading::ruler(abs($errors[$worst]), $field->limitMm);
        $tolerance = Tolerance::atMost($this->metMm, $this->nearMm);
        $judgement = $reading->u === 0.0 ? Judgement::of($reading, $tolerance)
            : Judgement::all(array_map(fn (float $e): Reading => Reading::ruler($e, $field->limitMm), $errors), Tolerance::around(0.0, $this->metMm, $this->nearMm), $this->targetLimitMm);
        $limit = $tolerance->nearestLimit($reading->value);
        $met = $judgement->verdict === Verdict::Met;

        return new CheckResult(
            $judgement,
            $words->say('each', ['error' => $words->signed($errors[$worst]), 'mark' => (string) ($worst + 1)]),
            $met ? null : ($errors[$worst] < 0 ? 'low' : 'high'),
            ['worst_mm' => $errors[$worst], 'mean_mm' => array_sum($errors) / count($errors), 'mark' => $worst + 1],
            $words->say('again.each', ['mark' => (string) ($worst + 1), 'away' => $words->length(abs($reading->value - $limit)), 'limit' => $words->length($limit)]),
            abs($errors[$worst]), $reading->u,
            $met || ! self::oneSided($errors) ? null : $words->say($errors[$worst] < 0 ? 'habit.all-short' : 'habit.all-long'),
        );
    }

    /**
     * Three or more, all to the same side: not chance but something set or held so.
     *
     * @param  list<float>  $errors
     */
    private static function oneSided(array $errors): bool
    {
        return count($errors) >= 3 && (min($errors) > 0 || max($errors) < 0);
    }
}
