<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Course\Drill;

/** Something a student could sew next. */
final readonly class Candidate
{
    public function __construct(
        public Kind $kind,
        public string $lesson,
        public ?Drill $drill,
        public float $minutes,
        /** Σ value × expected rise in P(L), per minute. */
        public float $gainPerMinute,
        /** All it stands on is sure. */
        public bool $ready,
        /** What it teaches is there already. */
        public bool $passed = false,
    ) {}
}
