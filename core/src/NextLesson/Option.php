<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;

/** A lesson as the ladder weighs it. */
final readonly class Option
{
    /**
     * @param  list<string>  $teaches  skill ids
     * @param  float  $minutes  first time, with its demo
     * @param  float  $againMinutes  once more, without
     * @param  list<Drill>  $drills
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $teaches,
        public float $minutes,
        public float $againMinutes,
        public array $drills = [],
        /** Sewn at a machine. */
        public bool $machine = true,
    ) {}

    public static function of(Lesson $lesson): self
    {
        return new self($lesson->id, $lesson->title, $lesson->teaches, $lesson->minutes->total(), $lesson->minutes->sew + $lesson->minutes->inspect, $lesson->drills, $lesson->machine);
    }
}
