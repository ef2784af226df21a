<?php

declare(strict_types=1);

namespace App\Places\Studio;

use OpenApi\Attributes as OA;

/** A new invitation with its link, which is told once. */
#[OA\Schema]
final readonly class InvitedView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $link,
        #[OA\Property] public bool $mailed,
    ) {}
}
