<?php

declare(strict_types=1);

namespace App\Places\Account;

use OpenApi\Attributes as OA;

/** Who may open a studio here. */
#[OA\Schema]
final readonly class RegistrationView
{
    public function __construct(
        #[OA\Property(description: 'anybody may')] public bool $open,
        #[OA\Property(description: 'there is no studio of somebody’s own yet')] public bool $first,
    ) {}
}
