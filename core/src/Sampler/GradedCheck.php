<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Measure\Verdict;

/** A check of a row with its result; no result while too little has been read. */
final readonly class GradedCheck
{
    public function __construct(public Row $row, public CheckSpec $spec, public ?CheckResult $result) {}

    public function key(): string
    {
        return "{$this->row->id}.{$this->spec->id}";
    }

    public function verdict(): ?Verdict
    {
        return $this->result?->judgement->verdict;
    }

    public function change(): ?Change
    {
        $fix = $this->result?->fix;

        return $fix === null ? null : ($this->spec->changes[$fix] ?? $this->spec->changes['any'] ?? null);
    }
}
