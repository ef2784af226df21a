<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** Something that may be seen, and the first thing to do. */
#[OA\Schema]
final readonly class FaultView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $seen,
        #[OA\Property] public string $first,
    ) {}
}
