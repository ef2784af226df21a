<?php

declare(strict_types=1);

namespace OpenSeam\Core\Grading;

use DateTimeImmutable;
use OpenSeam\Core\Fault\Cause;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Skill\Evidence;

/** A sample judged: every check, the faults seen, and what that shows of each skill. */
final readonly class Grade
{
    /**
     * @param  list<GradedCheck>  $checks
     * @param  list<Fault>  $faults
     * @param  array<string, list<float>>  $weights  of the required checks by skill
     * @param  array<string, list<float>>  $extras  of the others
     * @param  list<string>  $asked  skills that the sample was sewn for: all the lesson teaches, or the one of a drill
     * @param  list<string>  $safety  skills of this lesson that nobody sews without: they are met whole or not yet
     * @param  list<Cause>  $found  what was found to be behind the faults, by trying
     */
    public function __construct(
        public array $checks,
        public array $faults,
        public array $weights,
        public array $extras,
        private array $asked,
        private array $safety = [],
        public array $found = [],
    ) {}

    /** @param  list<string>  $uses  skills that were used on the way */
    public function evidence(string $sample, DateTimeImmutable $at, array $uses = []): Evidence
    {
        return new Evidence($sample, $at, $this->weights, $uses, $this->extras);
    }

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

    /** Required of a skill that the sample was sewn for, and not read: until it is, the sample is not met. */
    public function isAwaited(GradedCheck $check): bool
    {
        return $check->result === null && ! $check->spec->extra && array_intersect($check->spec->shows, $this->asked) !== [];
    }

    /**
     * The worst of all checks; a fault, or a safe habit nobody looked for, makes it not yet, and a required
     * check that was not read leaves what would be met unsure. Null before anything was judged.
     */
    public function verdict(): ?Verdict
    {
        $worst = $this->faults === [] ? null : Verdict::NotYet;
        $unseen = $awaited = false;
        foreach ($this->checks as $check) {
            $verdict = $check->verdict();
            $unseen = $unseen || $this->isUnseenHabit($check);
            $awaited = $awaited || $this->isAwaited($check);
            if ($verdict !== null) {
                $worst = $worst === null ? $verdict : $worst->worse($verdict);
            }
        }

        return match (true) {
            $worst !== null && $unseen => Verdict::NotYet,
            $worst === Verdict::Met && $awaited => Verdict::Unsure,
            default => $worst,
        };
    }

    /** @return array<string, Verdict> by check, of those that something was read for */
    public function verdicts(): array
    {
        return array_filter(array_combine(array_map(fn (GradedCheck $c): string => $c->key(), $this->checks), array_map(fn (GradedCheck $c): ?Verdict => $c->verdict(), $this->checks)));
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
