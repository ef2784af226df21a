<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;

/** What a rule gave, and what became of it. */
#[OA\Schema]
final readonly class RuleSoundView
{
    public function __construct(
        #[OA\Property(enum: ['repeat', 'drill', 'refresh', 'go-on', 'enrich'])] public string $kind,
        #[OA\Property] public int $given,
        #[OA\Property(description: 'taken by the teacher as it was')] public int $agreed,
        #[OA\Property(description: 'sewn next')] public int $sewn,
        #[OA\Property(description: 'and met then')] public int $met,
    ) {}
}
