<?php

declare(strict_types=1);

namespace App\Places\Studio;

use OpenApi\Attributes as OA;

/** An invitation that was not taken up yet. */
#[OA\Schema]
final readonly class InvitationView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'empty: by link')] public string $email,
        #[OA\Property(enum: ['owner', 'teacher', 'helper'])] public string $role,
        #[OA\Property] public string $until,
    ) {}
}
