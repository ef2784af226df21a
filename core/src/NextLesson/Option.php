<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Curriculum\Lessons;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

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

    /**
     * Of every lesson of a bundle; of one that nobody made yet only what the ladder weighs is read.
     *
     * @return array<string, self>
     *
     * @throws InputError for a lesson of the wrong shape
     */
    public static function all(Lessons $lessons): array
    {
        $options = [];
        foreach ($lessons->ids() as $id) {
            $made = $lessons->made($id);
            $options[$id] = $made === null ? self::read($lessons->text($id)) : self::of($made);
        }

        return $options;
    }

    /** @throws InputError when something is missing or of the wrong type */
    private static function read(Data $lesson): self
    {
        $minutes = BundleReader::minutes($lesson);

        return new self(
            $lesson->text('id'), $lesson->text('title'), $lesson->texts('teaches'), $minutes->total(), $minutes->sew + $minutes->inspect,
            BundleReader::drills($lesson), BundleReader::isAtMachine($lesson),
        );
    }
}
