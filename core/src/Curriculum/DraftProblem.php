<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

/** Something about a lesson being drafted: it cannot be kept so, or it deserves a look. */
final readonly class DraftProblem
{
    public function __construct(
        /** In the lesson, such as "sampler.rows[0].path.distance_mm". */
        public string $place,
        public string $text,
        /** Id of the row it is about; '' for the lesson. */
        public string $row,
        /** It cannot be kept like this. */
        public bool $stops,
        /** What would put the place right, where a number would. */
        public ?float $value = null,
    ) {}
}
