<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;

/** Who is sure of something beside who is not. */
#[OA\Schema]
final readonly class PairView
{
    public function __construct(
        #[OA\Property] public string $helper,
        #[OA\Property] public string $learner,
        #[OA\Property] public string $skill,
    ) {}
}
