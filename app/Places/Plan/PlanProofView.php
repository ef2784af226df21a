<?php

declare(strict_types=1);

namespace App\Places\Plan;

use OpenApi\Attributes as OA;

/** How few sessions there can be, and why each lesson stands where it does. */
#[OA\Schema]
final readonly class PlanProofView
{
    /** @param  array<string, string>  $reasons */
    public function __construct(
        #[OA\Property] public int $count,
        #[OA\Property] public int $lower_bound,
        #[OA\Property] public bool $proven,
        #[OA\Property] public string $text,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'), description: 'by lesson')] public array|\stdClass $reasons,
    ) {}
}
