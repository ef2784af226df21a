<?php

declare(strict_types=1);

namespace App\Places\Plan;

use OpenApi\Attributes as OA;

/** What a way of planning costs. */
#[OA\Schema]
final readonly class PlanCostView
{
    public function __construct(
        #[OA\Property(nullable: true, description: 'share of the class for whom there is time to sew again; null: one sample of each lesson')] public ?float $sure,
        #[OA\Property] public int $sessions,
        #[OA\Property(description: 'fewer cannot be')] public bool $proven,
        #[OA\Property(description: 'of class time kept for repeats')] public float $repeat_minutes,
        #[OA\Property(nullable: true, description: 'a student needs, for that share')] public ?int $samples,
    ) {}
}
