<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A skill as one student stands with it. */
#[OA\Schema]
final readonly class StudentSkillView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $strand,
        #[OA\Property(type: 'string', enum: ['not-tried', 'begun', 'coming', 'sure', 'refresh-due'])] public string $level,
    ) {}
}
