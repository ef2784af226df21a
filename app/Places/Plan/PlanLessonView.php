<?php

declare(strict_types=1);

namespace App\Places\Plan;

use OpenApi\Attributes as OA;

/** A lesson with its minutes for this class. */
#[OA\Schema]
final readonly class PlanLessonView
{
    /**
     * @param  list<string>  $needs
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'with those kept for sewing it again')] public float $minutes,
        #[OA\Property(description: 'minutes kept for sewing it again')] public float $again,
        #[OA\Property] public int $rounds,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $needs,
        #[OA\Property] public string $strand,
    ) {}
}
