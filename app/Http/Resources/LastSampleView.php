<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** The last sample in one line. */
#[OA\Schema]
final readonly class LastSampleView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $lesson,
        #[OA\Property] public string $title,
        #[OA\Property] public string $text,
        #[OA\Property(type: 'string', nullable: true, enum: ['met', 'near', 'not-yet', 'unsure'])] public ?string $verdict,
        #[OA\Property] public string $kept_at,
    ) {}
}
