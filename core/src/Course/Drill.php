<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Sampler\Line;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Row;

/** A short exercise that practises one skill only, with the rows it is sewn as where it is sewn. */
final readonly class Drill
{
    /**
     * @param  array<string, Piece>  $pieces  scrap; none where nothing is sewn
     * @param  array<string, Row>  $rows
     * @param  list<Line>  $lines
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $skill,
        public float $minutes,
        public string $text,
        public array $pieces = [],
        public array $rows = [],
        public array $lines = [],
    ) {}
}
