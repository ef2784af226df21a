<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

/** What may be behind a fault, and the one thing to change to find out. */
final readonly class Cause
{
    /**
     * @param  string  $kind  habit, thread, needle, setting, guide or machine
     * @param  float  $minutes  that trying it takes, more than 0
     * @param  string|null  $skill  that it speaks against where it was the cause; null: nobody's skill, a thing wears
     * @param  bool  $prevents  keeps the next row from it and does not put right what is there: tried after all that does
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $kind,
        public float $minutes,
        public string $do,
        public ?string $skill = null,
        public bool $prevents = false,
    ) {}
}
