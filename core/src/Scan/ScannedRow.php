<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;

/** What a picture says of one row of a sampler, by the readings that the row asks for. */
final readonly class ScannedRow
{
    /**
     * @param  array<string, list<Reading|null>>  $readings  by reading; of stitches how many, without an uncertainty, then the length they take
     * @param  list<list<array{float, float}>>  $seen  where each stretch of it runs, mm of the picture laid flat
     * @param  list<array{float, float}>  $skipped  where single stitches are twice as long as the others
     * @param  float|null  $uneven  standard deviation of a stitch, of its length; null: single ones are not told
     */
    public function __construct(public string $row, public string $title, public array $readings, public ?CannotRead $cannot, public array $seen, public array $skipped = [], public ?float $uneven = null) {}
}
