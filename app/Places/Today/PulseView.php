<?php

declare(strict_types=1);

namespace App\Places\Today;

use OpenApi\Attributes as OA;

/** Says whether anything happened in a class: the same word, nothing did. */
#[OA\Schema]
final readonly class PulseView
{
    public function __construct(
        #[OA\Property] public string $at,
    ) {}
}
