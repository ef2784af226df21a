<?php

declare(strict_types=1);

namespace App\Places\Today;

use OpenApi\Attributes as OA;

/** A sample that was kept in the session in hand. */
#[OA\Schema]
final readonly class SessionSampleView
{
    /** @param  list<string>  $rows */
    public function __construct(
        #[OA\Property] public string $sample,
        #[OA\Property] public string $lesson,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'that something was read of')] public array $rows,
        #[OA\Property(type: 'string', nullable: true, enum: ['met', 'near', 'not-yet', 'unsure'])] public ?string $verdict,
        #[OA\Property] public string $kept_at,
    ) {}
}
