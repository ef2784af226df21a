<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Check;

use OpenSeam\Core\Measure\Judgement;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\ValueRefused;
use OpenSeam\Core\Words;

/** Several values alike: the largest less the smallest, as a share of their mean. */
final readonly class AlikeCheck implements Check
{
    private Tolerance $tolerance;

    /**
     * @param  float  $metPercent  at most, for met
     * @param  float  $nearPercent  at most, for near
     *
     * @throws ValueRefused when near is below met
     */
    public function __construct(float $metPercent, float $nearPercent)
    {
        $this->tolerance = Tolerance::atMost($metPercent, $nearPercent);
    }

    public function judge(Field $field, array $values, Words $words): ?CheckResult
    {
        $read = array_values(array_filter($values, fn (?float $v): bool => $v !== null));
        if (count($read) < 2 || count($read) < count($values) || array_sum($read) <= 0) {
            return null;
        }
        $percent = 100 * (max($read) - min($read)) / (array_sum($read) / count($read));
        $judgement = Judgement::plain($this->tolerance->place($percent));

        return new CheckResult(
            $judgement,
            $words->say('alike', ['percent' => (string) (int) round($percent)]),
            $judgement->verdict === Verdict::Met ? null : 'high',
            ['percent' => $percent],
            habit: $judgement->verdict === Verdict::Met ? null : $words->say('habit.unlike'),
        );
    }
}
