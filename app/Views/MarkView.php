<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Where the ruler lies, in mm. */
#[OA\Schema]
final readonly class MarkView
{
    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public function __construct(
        #[OA\Property] public string $row,
        #[OA\Property] public string $reading,
        #[OA\Property] public int $mark,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $from,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $to,
    ) {}
}
