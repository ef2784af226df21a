<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Sampler\Sampler;

/** A short exercise that practises one skill only, with the rows it is sewn as where it is sewn. */
final readonly class Drill
{
    public function __construct(
        public string $id,
        public string $title,
        public string $skill,
        public float $minutes,
        public string $text,
        public Sampler $sampler = new Sampler,
    ) {}
}
