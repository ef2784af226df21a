<?php

declare(strict_types=1);

namespace App\Places\Plan;

use OpenApi\Attributes as OA;

/** A lesson bound to a session. */
#[OA\Schema]
final readonly class PlanPinView
{
    public function __construct(
        #[OA\Property] public string $lesson,
        #[OA\Property(description: 'number, from 1')] public int $session,
    ) {}
}
