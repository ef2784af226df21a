<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A reading behind a reason. */
#[OA\Schema]
final readonly class EvidenceView
{
    public function __construct(
        #[OA\Property] public string $sample,
        #[OA\Property] public string $check,
        #[OA\Property] public string $text,
        #[OA\Property] public string $verdict,
    ) {}
}
