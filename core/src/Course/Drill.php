<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use Closure;
use OpenSeam\Core\Sampler\Sampler;

/** A short exercise that practises one skill only, with the rows it is sewn as where it is sewn. */
final class Drill
{
    /** @param  Sampler|Closure(): Sampler  $rows  made when somebody asks for them: what is weighed is all drills, what is drawn one of them */
    public function __construct(
        public readonly string $id,
        public readonly string $title,
        public readonly string $skill,
        public readonly float $minutes,
        public readonly string $text,
        private Sampler|Closure $rows = new Sampler,
    ) {}

    public function sampler(): Sampler
    {
        return $this->rows = $this->rows instanceof Closure ? ($this->rows)() : $this->rows;
    }
}
