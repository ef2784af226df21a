<?php

declare(strict_types=1);

namespace App\Places\Look;

use OpenApi\Attributes as OA;

/** A line of a table that does not fit. */
#[OA\Schema]
final readonly class ImportProblemView
{
    public function __construct(
        #[OA\Property(description: 'of the table, its headings being the first')] public int $line,
        #[OA\Property] public string $field,
        #[OA\Property] public string $text,
    ) {}
}
