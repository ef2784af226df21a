<?php

declare(strict_types=1);

namespace App\Views;

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
        #[OA\Property(description: 'checks that nothing was read for')] public int $open,
        #[OA\Property(description: 'when it was looked at; a correction stands where the first look stood')] public string $kept_at,
    ) {}
}
