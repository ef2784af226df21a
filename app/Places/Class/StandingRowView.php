<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;

/** One student: a level for each skill, in the order of the skills. */
#[OA\Schema]
final readonly class StandingRowView
{
    /**
     * @param  list<string>  $levels
     */
    public function __construct(
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property] public int $seat,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: ['not-tried', 'begun', 'coming', 'sure', 'refresh-due']))] public array $levels,
        #[OA\Property] public string $next_title,
        #[OA\Property] public int $sure,
    ) {}
}
