<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\Sampler\Check\Check;

/** A check as a lesson states it: what it judges, which skills it shows, what to change when it is not met. */
final readonly class CheckSpec
{
    /**
     * @param  list<string>  $shows  skill ids
     * @param  array<string, Change>  $changes  by CheckResult::$fix
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $of,
        public Check $check,
        public array $shows,
        public array $changes,
        public string $source,
        /** In words: "15.9 mm ±1, near ±2". */
        public string $allows,
        /** Beyond what its skills must show: it adds to them, and may stay unread. */
        public bool $extra = false,
        /** Reading of the row that says what it aims at, where it was read; null: what the lesson says. */
        public ?string $targetOf = null,
    ) {}
}
