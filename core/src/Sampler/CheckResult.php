<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Measure\Judgement;

/** What one check says about a sample. */
final readonly class CheckResult
{
    /** @param  array<string, float|int|string|null>  $figures what was worked out, mm unless the name says otherwise */
    public function __construct(
        public Judgement $judgement,
        /** Plain words with the number, such as "mean 15.4 mm, 0.5 mm under". */
        public string $text,
        /** Which of the check's changes fits: "low", "high", "drift", … Null when nothing needs changing. */
        public ?string $fix = null,
        public array $figures = [],
        /** What to measure again when unsure. */
        public ?string $again = null,
        /** How far from what is wanted, 0 or more, to compare two samples by; null where it is not measured. */
        public ?float $off = null,
        /** Its standard uncertainty, in the same unit. */
        public ?float $u = null,
        /** The pattern of the error with the habit it usually points to: common practice, no source. */
        public ?string $habit = null,
    ) {}

    /** The same, called too early: it stays open. */
    public function open(): self
    {
        return new self($this->judgement->open(), $this->text, $this->fix, $this->figures, $this->again, $this->off, $this->u, $this->habit);
    }

    /** The same, with a better way to decide it. */
    public function decidedBy(string $again): self
    {
        return new self($this->judgement, $this->text, $this->fix, $this->figures, $again, $this->off, $this->u, $this->habit);
    }
}
