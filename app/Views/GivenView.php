<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What a student was given, and whether the teacher thought otherwise. */
#[OA\Schema]
final readonly class GivenView
{
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public string $title,
        #[OA\Property(nullable: true, description: 'what was proposed, where it was another')] public ?string $instead_of,
        #[OA\Property] public string $because,
        #[OA\Property(description: 'because of who sat where')] public bool $by_bench,
    ) {}
}
