<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A row as it was measured, in mm. */
#[OA\Schema]
final readonly class MeasuredRowView
{
    /**
     * @param  list<array{float, float}>  $points
     */
    public function __construct(
        #[OA\Property] public string $row,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))] public array $points,
    ) {}
}
