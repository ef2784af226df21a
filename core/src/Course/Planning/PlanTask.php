<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** A lesson to be laid into a session. */
final readonly class PlanTask
{
    /**
     * @param  list<string>  $needs  ids that come before it, in the same session or an earlier one
     * @param  list<string>  $earlier  ids that come in an earlier session: something is sewn at home in between
     */
    public function __construct(
        public string $id,
        /** For the whole class, more than 0. */
        public float $minutes,
        public array $needs = [],
        /** Kind of foot; null: whatever is on. */
        public ?string $foot = null,
        /** First session it may stand in, from 0. */
        public int $notBefore = 0,
        /** Last session it may stand in, from 0; null: any. */
        public ?int $notAfter = null,
        /** Strand of the course it belongs to; null: none. */
        public ?string $strand = null,
        public array $earlier = [],
    ) {}

    /**
     * The same lesson bound to these sessions at most.
     *
     * @param  int|null  $to  null: any
     */
    public function within(int $from, ?int $to): self
    {
        return new self($this->id, $this->minutes, $this->needs, $this->foot, $from, $to, $this->strand, $this->earlier);
    }

    public function isFree(): bool
    {
        return $this->notBefore === 0 && $this->notAfter === null;
    }
}
