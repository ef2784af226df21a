<?php

declare(strict_types=1);

namespace App\Places\Today;

use OpenApi\Attributes as OA;

/** What follows when a session begins now. */
#[OA\Schema]
final readonly class BeginningView
{
    /** @param  list<string>  $lost */
    public function __construct(
        #[OA\Property(enum: ['early', 'on-time', 'late', 'moved'])] public string $kind,
        #[OA\Property(description: 'minutes early or late')] public int $by,
        #[OA\Property] public string $ends_at,
        #[OA\Property(description: 'minutes that are left of it')] public int $left,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'lessons that would not be looked at in time, by title')] public array $lost,
    ) {}
}
