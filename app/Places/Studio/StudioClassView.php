<?php

declare(strict_types=1);

namespace App\Places\Studio;

use OpenApi\Attributes as OA;

/** A class of the studio, in use, put away or deleted. */
#[OA\Schema]
final readonly class StudioClassView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public int $students,
        #[OA\Property(nullable: true, description: 'day of its last session')] public ?string $ended_on,
        #[OA\Property] public bool $shared,
        #[OA\Property] public bool $mine,
        #[OA\Property(nullable: true)] public ?string $archived_at,
        #[OA\Property(nullable: true)] public ?string $deleted_at,
        #[OA\Property(nullable: true, description: 'deleted: for good on this day')] public ?string $gone_on,
    ) {}
}
