<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Sampler\Run\Run;
use OpenSeam\Core\Stitch\Path;
use OpenSeam\Core\Stitch\StitchSettings;

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
        /** How it runs on its piece; null where nothing is sewn. */
        public ?Run $run,
        public StitchSettings $stitch,
        public int $backStitches,
        public string $guide,
        public array $fields,
        public array $checks,
        public Threads $threads = new Threads,
        /** @var list<string>|null faults of the lesson that are usual on this row; null: all of them */
        public ?array $faults = null,
    ) {}
}
