<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Something that may be seen, and the first thing to do. */
#[OA\Schema]
final readonly class FaultView
{
    /** @param  list<NamedView>  $rows */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $seen,
        #[OA\Property] public string $first,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'rows on which it is usual; none: on all')] public array $rows,
    ) {}
}
