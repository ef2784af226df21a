<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A sample as its student read it, and how far the teacher saw the same. */
#[OA\Schema]
final readonly class OwnLookView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['home', 'class'])] public string $place,
        #[OA\Property] public string $at,
        #[OA\Property(type: 'string', nullable: true, enum: ['met', 'near', 'not-yet', 'unsure'], description: 'the poorest of its checks')] public ?string $verdict,
        #[OA\Property(nullable: true, description: 'where the teacher has looked at the same sampler since')] public ?AgreementView $agreed,
    ) {}
}
