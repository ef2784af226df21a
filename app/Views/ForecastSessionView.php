<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** How far the class is by the end of a session. */
#[OA\Schema]
final readonly class ForecastSessionView
{
    public function __construct(
        #[OA\Property(description: 'of the session, from 1')] public int $number,
        #[OA\Property] public string $starts_at,
        #[OA\Property(description: 'a student can sew by its end, from now on')] public int $samples,
        #[OA\Property(description: 'lessons done by nine in ten')] public int $low,
        #[OA\Property(description: 'lessons done by one in two')] public int $middle,
        #[OA\Property(description: 'lessons done by one in ten')] public int $high,
    ) {}
}
