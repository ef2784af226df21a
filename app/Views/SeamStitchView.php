<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One sample on the long seam of a student. */
#[OA\Schema]
final readonly class SeamStitchView
{
    public function __construct(
        #[OA\Property(nullable: true, description: 'number of the session it was sewn in')] public ?int $session,
        #[OA\Property(nullable: true, description: 'another class it was sewn in, by name')] public ?string $elsewhere,
        #[OA\Property] public LastSampleView $sample,
        #[OA\Property(description: 'weight of the poorest skill it showed, 0 to 1')] public float $good,
    ) {}
}
