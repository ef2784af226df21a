<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Views\JudgedView;
use OpenApi\Attributes as OA;

/** A kept sample, what was assigned, and whose sample is next. */
#[OA\Schema]
final readonly class KeptView
{
    public function __construct(
        #[OA\Property] public string $sample,
        #[OA\Property] public string $student,
        #[OA\Property] public JudgedView $judged,
        #[OA\Property] public string $next_title,
        #[OA\Property] public bool $overruled,
    ) {}
}
