<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** A stretch of the session, in minutes from its start. */
#[OA\Schema]
final readonly class TapePieceView
{
    public function __construct(
        #[OA\Property(enum: ['settle', 'review', 'show', 'sew', 'look', 'free', 'clear'])] public string $kind,
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
        #[OA\Property] public int $round,
        #[OA\Property(nullable: true)] public ?string $lesson,
        #[OA\Property] public string $title,
    ) {}
}
