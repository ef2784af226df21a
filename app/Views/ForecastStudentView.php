<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A student's chance to finish. */
#[OA\Schema]
final readonly class ForecastStudentView
{
    public function __construct(
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'lessons with a good sample')] public int $done,
        #[OA\Property] public int $left,
        #[OA\Property(description: 'to have done all by the end of the last session')] public float $chance,
        #[OA\Property(description: 'the lessons left are expected to take')] public float $samples,
    ) {}
}
