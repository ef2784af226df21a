<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A check beside the same one of the sample before. */
#[OA\Schema]
final readonly class ComparedView
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property(enum: ['better', 'same', 'worse'], description: 'by more than the uncertainty')] public string $how,
        #[OA\Property(description: 'what it was')] public string $before,
    ) {}
}
