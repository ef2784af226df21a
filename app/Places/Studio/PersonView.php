<?php

declare(strict_types=1);

namespace App\Places\Studio;

use OpenApi\Attributes as OA;

/** Somebody of the studio. */
#[OA\Schema]
final readonly class PersonView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(enum: ['owner', 'teacher', 'helper'])] public string $role,
        #[OA\Property] public bool $me,
    ) {}
}
