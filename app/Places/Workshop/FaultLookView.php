<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Fault\FaultLook;

/** A fault with its look on a short row. */
#[OA\Schema]
final readonly class FaultLookView
{
    /**
     * @param  list<list<array{float, float}>>  $runs
     * @param  list<array{float, float}>  $nest
     */
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $seen,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))), description: 'needle points in mm, along and across; none where it cannot be drawn')] public array $runs,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), description: 'thread lying under the start')] public array $nest,
        #[OA\Property(enum: ['even', 'dots', 'loops'])] public string $right_side,
        #[OA\Property(enum: ['even', 'dots', 'loops'])] public string $underside,
        #[OA\Property(description: 'of the row that is drawn, mm')] public float $row_mm,
    ) {}

    public static function of(Fault $fault): self
    {
        $look = FaultLook::of($fault->id);

        return new self($fault->id, $fault->seen, $look->runs ?? [], $look->nest ?? [], $look->rightSide ?? 'even', $look->underside ?? 'even', FaultLook::ROW_MM);
    }
}
