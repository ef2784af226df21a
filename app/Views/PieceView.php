<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A piece in mm. */
#[OA\Schema]
final readonly class PieceView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public float $x,
        #[OA\Property] public float $y,
        #[OA\Property] public float $width,
        #[OA\Property] public float $height,
        #[OA\Property] public int $layers,
        #[OA\Property] public string $label,
        #[OA\Property] public string $material,
    ) {}
}
