<?php

declare(strict_types=1);

namespace App\Places\Room;

use OpenApi\Attributes as OA;

/** A kind of foot there is, with measures to start from. */
#[OA\Schema]
final readonly class FootKindView
{
    /** @param  array<string, mixed>  $usual */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $about,
        #[OA\Property] public string $caution,
        #[OA\Property(type: 'object', ref: '#/components/schemas/FootFacts')] public array $usual,
    ) {}
}
