<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A check with its result; no verdict while too little has been read. */
#[OA\Schema]
final readonly class CheckView
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $row,
        #[OA\Property] public string $title,
        #[OA\Property(type: 'string', nullable: true, enum: ['met', 'near', 'not-yet', 'unsure'])] public ?string $verdict,
        #[OA\Property(nullable: true)] public ?string $text,
        #[OA\Property(nullable: true)] public ?string $again,
        #[OA\Property(nullable: true)] public ?ChangeView $change,
        #[OA\Property(nullable: true, description: 'the habit its pattern usually points to; common practice')] public ?string $habit,
        #[OA\Property(nullable: true)] public ?OverruledView $overruled,
    ) {}
}
