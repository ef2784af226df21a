<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;

/**
 * What one sample shows about skills. A skill is shown when all its required
 * checks are: the weakest of them is the showing, and extras add to it.
 */
final readonly class Evidence
{
    /** Says neither that it is known nor that it is not. */
    public const UNDECIDED = 0.5;

    /**
     * @param  array<string, list<float>>  $weights  of the required checks by skill: 1 right, 0 wrong, between is soft
     * @param  list<string>  $uses  skills that were used on the way: they are not read, and do not fade meanwhile
     * @param  array<string, list<float>>  $extras  of checks beyond the required ones, likewise
     */
    public function __construct(
        public string $sample,
        public DateTimeImmutable $at,
        public array $weights,
        public array $uses = [],
        public array $extras = [],
    ) {}

    /** @return list<string> skills that something was read of */
    public function skills(): array
    {
        $read = [];
        foreach ($this->weights as $skill => $of) {
            $of === [] || $read[] = (string) $skill;
        }
        foreach ($this->extras as $skill => $of) {
            $of === [] || ($this->weights[$skill] ?? []) !== [] || $read[] = (string) $skill;
        }

        return $read;
    }

    /** The weakest required check of the skill, or of the extras where nothing required was read; null where nothing was read. */
    public function showing(string $skill): ?float
    {
        $of = ($this->weights[$skill] ?? []) ?: $this->extras[$skill] ?? [];

        return $of === [] ? null : min($of);
    }

    /** @return list<float> what tracing goes by: the showing, and the extras beside it */
    public function showings(string $skill): array
    {
        $required = $this->weights[$skill] ?? [];

        return $required === [] ? $this->extras[$skill] ?? [] : [min($required), ...$this->extras[$skill] ?? []];
    }
}
