<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Sampler\Line;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Row;

/** A lesson with its sampler. Content: it comes from a course bundle, never from code. */
final readonly class Lesson
{
    /**
     * @param  list<string>  $teaches  skill ids
     * @param  list<string>  $cautions
     * @param  list<string>  $points  teaching points
     * @param  list<string>  $steps
     * @param  list<Setting>  $settings  what to set, in words
     * @param  array<string, Piece>  $pieces
     * @param  array<string, Row>  $rows
     * @param  list<Line>  $lines  folds, cuts and chalk marks
     * @param  list<string>  $faults  fault ids usual here
     * @param  list<array{what: string, count: int}>  $extras  small things for one sample: zips, buttons
     * @param  list<SewNeed>  $sews  what must be sewn, and under which feet
     * @param  list<Drill>  $drills
     * @param  list<array{mistake: string, looks: string}>  $mistakes  common ones, with what they look like
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $version,
        public string $why,
        public array $teaches,
        public LessonMinutes $minutes,
        public bool $machine,
        public string $foot,
        public array $settings,
        public array $cautions,
        public array $points,
        public array $steps,
        public array $pieces,
        public array $rows,
        public array $lines,
        public array $faults,
        public array $extras,
        public array $sews,
        public array $drills,
        public ?Demonstration $demonstration = null,
        public array $mistakes = [],
    ) {}

    /** @return list<Row> rows on which a fault is usual; none named means all */
    public function rowsWith(string $fault): array
    {
        $named = array_values(array_filter($this->rows, fn (Row $r): bool => $r->faults === null || in_array($fault, $r->faults, true)));

        return count($named) === count($this->rows) ? [] : $named;
    }
}
