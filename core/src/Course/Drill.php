<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

/** A short exercise that practises one skill only. */
final readonly class Drill
{
    public function __construct(
        public string $id,
        public string $title,
        public string $skill,
        public float $minutes,
        public string $text,
    ) {}
}
