<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A kind of foot that a session needs, and how many there are. */
#[OA\Schema]
final readonly class DayFootView
{
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property(description: 'wanted at the same time')] public int $wanted,
        #[OA\Property] public int $have,
    ) {}
}
