<?php

declare(strict_types=1);

namespace App\Places\Account;

use OpenApi\Attributes as OA;

/** Where somebody is signed in. */
#[OA\Schema]
final readonly class DeviceView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $last_at,
        #[OA\Property(description: 'the browser, in a word')] public string $what,
        #[OA\Property] public bool $here,
    ) {}
}
