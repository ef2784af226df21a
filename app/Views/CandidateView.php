<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Something that could be sewn next. */
#[OA\Schema]
final readonly class CandidateView
{
    public function __construct(
        #[OA\Property(type: 'string', enum: ['repeat', 'drill', 'refresh', 'go-on', 'enrich'])] public string $kind,
        #[OA\Property] public string $lesson,
        #[OA\Property] public string $title,
        #[OA\Property(nullable: true)] public ?string $drill,
        #[OA\Property] public float $minutes,
        #[OA\Property] public bool $ready,
        #[OA\Property(description: 'what it teaches is there already')] public bool $passed,
        #[OA\Property(nullable: true, description: 'why nobody can sew it in this room')] public ?string $cannot,
    ) {}
}
