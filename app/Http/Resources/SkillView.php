<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** A skill. */
#[OA\Schema]
final readonly class SkillView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $strand,
        #[OA\Property] public string $shows,
        #[OA\Property] public bool $taught,
    ) {}
}
