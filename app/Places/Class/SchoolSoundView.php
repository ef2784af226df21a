<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;

/** How often what a school of thought called sure then held. */
#[OA\Schema]
final readonly class SchoolSoundView
{
    public function __construct(
        #[OA\Property] public string $school,
        #[OA\Property] public int $called,
        #[OA\Property] public int $held,
        #[OA\Property] public int $open,
        #[OA\Property] public int $good,
    ) {}
}
