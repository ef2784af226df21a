<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Models\Studio;
use OpenApi\Attributes as OA;

/** How things come from the studio's shop. */
#[OA\Schema]
final readonly class ShopView
{
    public function __construct(
        #[OA\Property] public float $cloth_width_mm,
        #[OA\Property(description: 'each side')] public float $selvedge_mm,
        #[OA\Property] public float $spool_m,
        #[OA\Property(description: 'that prices are in, such as EUR; empty: not said')] public string $currency,
    ) {}

    public static function of(Studio $s): self
    {
        return new self($s->cloth_width_mm, $s->selvedge_mm, $s->spool_m, $s->currency);
    }
}
