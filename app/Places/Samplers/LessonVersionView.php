<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;

/** A version of a lesson and what was sewn of it. */
#[OA\Schema]
final readonly class LessonVersionView
{
    public function __construct(
        #[OA\Property] public int $version,
        #[OA\Property(nullable: true, description: 'null: it came with the course')] public ?string $kept_at,
        #[OA\Property] public int $samples,
        #[OA\Property] public bool $on_shelf,
    ) {}
}
