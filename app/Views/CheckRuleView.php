<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What is checked and what is allowed. */
#[OA\Schema]
final readonly class CheckRuleView
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public string $reading,
        #[OA\Property] public string $allows,
        #[OA\Property] public string $source,
    ) {}
}
