<?php

declare(strict_types=1);

namespace App\Places\Account;

use OpenApi\Attributes as OA;

/** What an invitation is for. */
#[OA\Schema]
final readonly class JoinView
{
    public function __construct(
        #[OA\Property] public string $studio,
        #[OA\Property(enum: ['owner', 'teacher', 'helper'])] public string $role,
        #[OA\Property(description: 'where the invitation went; empty: nobody in particular')] public string $email,
    ) {}
}
