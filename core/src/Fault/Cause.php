<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

/** What may be behind a fault, and the one thing to change to find out. */
final readonly class Cause
{
    /**
     * @param  string  $kind  habit, thread, needle, setting, guide or machine
     * @param  float  $minutes  that trying it takes, more than 0
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $kind,
        public float $minutes,
        public string $do,
    ) {}
}
