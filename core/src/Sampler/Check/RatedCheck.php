<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Check;

use OpenSeam\Core\Measure\Judgement;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Words;

/** A yes or no, or a described step: the eye's own verdict, with no uncertainty. */
final readonly class RatedCheck implements Check
{
    /** @param  list<Verdict>  $verdicts by value; for a yes-no [no, yes] */
    public function __construct(private array $verdicts) {}

    public static function yes(): self
    {
        return new self([Verdict::NotYet, Verdict::Met]);
    }

    public function judge(Field $field, array $values, Words $words): ?CheckResult
    {
        $value = $values[0] ?? null;
        if ($value === null) {
            return null;
        }
        $step = (int) $value;
        $verdict = $this->verdicts[$step] ?? Verdict::NotYet;

        return new CheckResult(
            Judgement::plain($verdict),
            $field->kind === FieldKind::YesNo ? $words->say($step === 1 ? 'yes' : 'no') : ($field->options[$step] ?? ''),
            $verdict === Verdict::Met ? null : ($field->kind === FieldKind::YesNo ? 'low' : 'option-'.($step + 1)),
            ['value' => $step],
        );
    }
}
