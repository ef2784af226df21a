<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A fold, a cut or a chalk mark. */
#[OA\Schema]
final readonly class LineView
{
    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public function __construct(
        #[OA\Property(enum: ['fold', 'cut', 'chalk'])] public string $kind,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $from,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $to,
    ) {}
}
