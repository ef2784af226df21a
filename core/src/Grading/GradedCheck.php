<?php

declare(strict_types=1);

namespace OpenSeam\Core\Grading;

use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\Measure\Judgement;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Row;

/** A check of a row with its result; no result while too little has been read. */
final readonly class GradedCheck
{
    public function __construct(public Row $row, public CheckSpec $spec, public ?CheckResult $result, public ?Overruling $overruled = null) {}

    public function key(): string
    {
        return "{$this->row->id}.{$this->spec->id}";
    }

    /** The teacher's where there is one, else what the readings say. */
    public function verdict(): ?Verdict
    {
        return $this->result === null ? null : ($this->overruled->verdict ?? $this->result->judgement->verdict);
    }

    /** Soft evidence for its skills, 0 to 1; null while too little has been read. */
    public function weight(): ?float
    {
        return $this->result === null ? null : ($this->overruled === null ? $this->result->judgement : Judgement::plain($this->overruled->verdict))->weight();
    }

    public function change(): ?Change
    {
        $fix = $this->verdict() === Verdict::Met ? null : $this->result?->fix;

        // An option without a change of its own has that of all.
        $else = $fix !== null && str_starts_with($fix, 'option-') ? 'low' : 'any';

        return $fix === null ? null : ($this->spec->changes[$fix] ?? $this->spec->changes[$else] ?? $this->spec->changes['any'] ?? null);
    }
}
