<?php

declare(strict_types=1);

namespace App\Places\Finder;

use OpenApi\Attributes as OA;

/** Something that can be found. */
#[OA\Schema]
final readonly class FoundView
{
    public function __construct(
        #[OA\Property(enum: ['student', 'class', 'lesson', 'skill', 'fault', 'machine', 'foot'])] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $detail,
        #[OA\Property] public string $address,
    ) {}
}
