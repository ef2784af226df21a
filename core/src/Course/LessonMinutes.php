<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

/** For one student at one machine, in minutes. */
final readonly class LessonMinutes
{
    public function __construct(public float $demo, public float $sew, public float $inspect) {}

    public function total(): float
    {
        return $this->demo + $this->sew + $this->inspect;
    }
}
