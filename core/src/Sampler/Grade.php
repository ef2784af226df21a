<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Measure\Verdict;

/** A sample judged: every check, the faults seen, and what that shows of each skill. */
final readonly class Grade
{
    /**
     * @param  list<GradedCheck>  $checks
     * @param  list<Fault>  $faults
     * @param  array<string, list<float>>  $evidence  weights by skill
     * @param  list<string>  $safety  skills of this lesson that nobody sews without: they are met whole or not yet
     */
    public function __construct(
        public array $checks,
        public array $faults,
        public array $evidence,
        private array $safety = [],
    ) {}

    /** Nothing left to read. */
    public function complete(): bool
    {
        return $this->open() === [];
    }

    /** @return list<GradedCheck> checks that nothing, or too little, was read for */
    public function open(): array
    {
        return array_values(array_filter($this->checks, fn (GradedCheck $c): bool => $c->result === null));
    }

    /** A safe habit that was not answered, while others were: until it is seen, the sample is not met. */
    public function isUnseenHabit(GradedCheck $check): bool
    {
        return $check->result === null && array_intersect($check->spec->shows, $this->safety) !== [];
    }

    /** The worst of all checks; a fault, or a safe habit nobody looked for, makes it not yet. Null before anything was judged. */
    public function verdict(): ?Verdict
    {
        $worst = $this->faults === [] ? null : Verdict::NotYet;
        $unseen = false;
        foreach ($this->checks as $check) {
            $verdict = $check->verdict();
            $unseen = $unseen || $this->isUnseenHabit($check);
            if ($verdict !== null) {
                $worst = $worst === null ? $verdict : $worst->worse($verdict);
            }
        }

        return $worst !== null && $unseen ? Verdict::NotYet : $worst;
    }

    /** The check that says most: the first of the worst ones, measured before ticked. */
    public function telling(): ?GradedCheck
    {
        $order = [Verdict::NotYet, Verdict::Near, Verdict::Unsure, Verdict::Met];
        foreach ($order as $verdict) {
            foreach ($this->checks as $check) {
                if ($check->verdict() === $verdict) {
                    return $check;
                }
            }
        }

        return null;
    }

    /** @return list<GradedCheck> checks that show the skill and were judged */
    public function showing(string $skill): array
    {
        return array_values(array_filter($this->checks, fn (GradedCheck $c): bool => $c->result !== null && in_array($skill, $c->spec->shows, true)));
    }
}
