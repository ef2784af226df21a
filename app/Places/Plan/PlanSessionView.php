<?php

declare(strict_types=1);

namespace App\Places\Plan;

use OpenApi\Attributes as OA;

/** A session with what is laid in it. */
#[OA\Schema]
final readonly class PlanSessionView
{
    /**
     * @param  list<string>  $lessons
     * @param  list<string>  $home
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $starts_at,
        #[OA\Property] public int $minutes,
        #[OA\Property] public float $usable,
        #[OA\Property] public float $used,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $lessons,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'sewn at home after it')] public array $home,
        #[OA\Property(description: 'minutes to look back, taken from the session')] public float $review,
        #[OA\Property(description: 'it has begun')] public bool $begun,
    ) {}
}
