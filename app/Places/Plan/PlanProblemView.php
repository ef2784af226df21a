<?php

declare(strict_types=1);

namespace App\Places\Plan;

use OpenApi\Attributes as OA;

/** What is wrong with a plan. */
#[OA\Schema]
final readonly class PlanProblemView
{
    public function __construct(
        #[OA\Property(enum: ['overfull', 'prerequisite', 'cannot'])] public string $kind,
        #[OA\Property] public int $session,
        #[OA\Property(nullable: true)] public ?string $lesson,
        #[OA\Property] public string $text,
    ) {}
}
