<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A row as needle points in mm. */
#[OA\Schema]
final readonly class RowLineView
{
    /**
     * @param  list<array{float, float}>  $points
     * @param  list<list<array{float, float}>>  $back
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $guide,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))] public array $points,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))))] public array $back,
    ) {}
}
