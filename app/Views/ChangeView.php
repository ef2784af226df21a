<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The one thing to change. */
#[OA\Schema]
final readonly class ChangeView
{
    public function __construct(
        #[OA\Property(enum: ['setting', 'guide', 'habit'])] public string $kind,
        #[OA\Property] public string $text,
    ) {}
}
