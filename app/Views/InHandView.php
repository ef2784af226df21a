<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What a student is sewing now. */
#[OA\Schema]
final readonly class InHandView
{
    public function __construct(
        #[OA\Property(nullable: true)] public ?string $lesson,
        #[OA\Property(nullable: true)] public ?string $drill,
        #[OA\Property(type: 'string', enum: ['repeat', 'drill', 'refresh', 'go-on', 'enrich'])] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $change,
        #[OA\Property] public bool $overruled,
    ) {}
}
