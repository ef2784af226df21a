<?php

declare(strict_types=1);

namespace App\Places\Look;

use OpenApi\Attributes as OA;

/** The studio's printed card. */
#[OA\Schema]
final readonly class PhotoCardView
{
    public function __construct(
        #[OA\Property(nullable: true, description: 'what its line of 100 mm measures by a ruler; null: nobody looked')] public ?float $line_mm,
    ) {}
}
