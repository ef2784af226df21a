<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The teacher's own verdict on a check: what the readings say, and why it was overruled. */
#[OA\Schema]
final readonly class OverruledView
{
    public function __construct(
        #[OA\Property(enum: ['met', 'near', 'not-yet', 'unsure'], description: 'of the readings')] public string $read,
        #[OA\Property] public string $because,
    ) {}
}
