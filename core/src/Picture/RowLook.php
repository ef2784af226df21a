<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Measure\Verdict;

/** One way a row may look, with what a ruler would read on it. */
final readonly class RowLook
{
    /** @param  non-empty-list<float>  $values  at each mark, mm; of a count how many, and over how many mm */
    public function __construct(
        /** @var 'even'|'wide'|'narrow'|'drifts-out'|'drifts-in'|'wanders'|'longer'|'shorter'|'so'|'not-so'|'answer'|'right'|'less'|'more'|'unlike' */
        public string $pattern,
        public Verdict $verdict,
        public array $values,
        public Picture $picture,
        /** An answer in the lesson's own words. */
        public string $answer = '',
    ) {}
}
