<?php

declare(strict_types=1);

namespace App\Places\Class;

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
        #[OA\Property(description: 'students who tried it and are not sure')] public int $open = 0,
        #[OA\Property(description: 'students who are ready for it: not sure of it, and sure of all it stands on')] public int $ready = 0,
    ) {}
}
