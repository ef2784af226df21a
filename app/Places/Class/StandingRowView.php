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
     * @param  list<string>  $shown
     * @param  list<string>  $open
     */
    public function __construct(
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property] public int $seat,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: ['not-tried', 'begun', 'coming', 'sure', 'refresh-due']))] public array $levels,
        #[OA\Property] public string $next_title,
        #[OA\Property] public int $sure,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'skills that a certificate says, by id')] public array $shown,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'skills that were tried and are not shown yet, by id')] public array $open,
    ) {}
}
