<?php

declare(strict_types=1);

namespace OpenSeam\Core\Grading;

use OpenSeam\Core\Measure\Verdict;

/** How far somebody who looks at their own sample sees what the teacher sees. */
final readonly class Agreement
{
    private function __construct(
        /** Checks that both judged alike. */
        public int $alike,
        /** Checks that both judged. */
        public int $of,
        /** Checks that were judged more kindly than the teacher did. */
        public int $kinder,
    ) {}

    /**
     * @param  array<string, Verdict>  $own  by check
     * @param  array<string, Verdict>  $teacher  by check
     */
    public static function of(array $own, array $teacher): self
    {
        $both = array_intersect_key($own, $teacher);
        $alike = count(array_filter($both, fn (Verdict $v, string $check): bool => $v === $teacher[$check], ARRAY_FILTER_USE_BOTH));
        $kinder = count(array_filter($both, fn (Verdict $v, string $check): bool => $v !== $teacher[$check] && $v->worse($teacher[$check]) === $teacher[$check], ARRAY_FILTER_USE_BOTH));

        return new self($alike, count($both), $kinder);
    }

    public static function none(): self
    {
        return new self(0, 0, 0);
    }

    public function and(self $other): self
    {
        return new self($this->alike + $other->alike, $this->of + $other->of, $this->kinder + $other->kinder);
    }
}
