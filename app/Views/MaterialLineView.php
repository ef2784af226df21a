<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A line of the shopping list. */
#[OA\Schema]
final readonly class MaterialLineView
{
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public float $amount,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $how,
        #[OA\Property] public float $have,
        #[OA\Property] public float $buy,
        #[OA\Property] public float $price,
        #[OA\Property] public float $cost,
        #[OA\Property] public bool $ticked,
        #[OA\Property(nullable: true, description: 'when the session begins for which it is short; null: it lasts')] public ?string $short_on,
    ) {}
}
