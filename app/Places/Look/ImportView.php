<?php

declare(strict_types=1);

namespace App\Places\Look;

use OpenApi\Attributes as OA;

/** What was understood of a table of samples, and what was kept. */
#[OA\Schema]
final readonly class ImportView
{
    /** @param  list<ImportProblemView>  $problems */
    public function __construct(
        #[OA\Property] public int $samples,
        #[OA\Property] public int $students,
        #[OA\Property(description: 'lines of the table')] public int $rows,
        #[OA\Property(description: 'samples that are new, and kept unless it was only tried; 0 while something does not fit')] public int $new,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ImportProblemView::class))] public array $problems,
    ) {}
}
