<?php

declare(strict_types=1);

namespace App\Places\Studio;

use OpenApi\Attributes as OA;

/** A student who was deleted, or taken out of a class, and can be brought back. */
#[OA\Schema]
final readonly class GoneStudentView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public int $samples,
        #[OA\Property(description: 'for good on this day')] public string $gone_on,
    ) {}
}
