<?php

declare(strict_types=1);

namespace App\Places\Materials;

use OpenApi\Attributes as OA;

/** A piece on the cloth, mm. */
#[OA\Schema]
final readonly class PlacedView
{
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public float $x,
        #[OA\Property] public float $y,
        #[OA\Property] public float $width,
        #[OA\Property] public float $length,
    ) {}
}
