<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Stitch\Path;

/** One row of a sampler: where it runs, how it is stitched, what is read and judged on it. */
final readonly class Row
{
    /**
     * @param  array<string, Field>  $fields
     * @param  list<CheckSpec>  $checks
     */
    public function __construct(
        public string $id,
        public string $title,
        public ?string $piece,
        public ?Path $path,
        /** "edge" when it follows an edge of the piece, "spiral", "line" */
        public string $run,
        /** For an edge row: "left" or "right" */
        public string $edge,
        public float $distanceMm,
        public float $stitchMm,
        public int $backStitches,
        public string $guide,
        public array $fields,
        public array $checks,
    ) {}
}
