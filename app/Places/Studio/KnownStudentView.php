<?php

declare(strict_types=1);

namespace App\Places\Studio;

use OpenApi\Attributes as OA;

/** Somebody who was in a class of this studio before. */
#[OA\Schema]
final readonly class KnownStudentView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'the last class')] public string $was,
    ) {}
}
