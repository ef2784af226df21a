<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Scan\ScanAnswer;

/** What a scan of a sewn row says. */
#[OA\Schema]
final readonly class ScanView
{
    /** @param  list<list<float>>  $marks */
    private function __construct(
        #[OA\Property(nullable: true, enum: ['edge', 'row', 'stitches'], description: 'what could not be found; null when all was')] public ?string $cannot,
        #[OA\Property(nullable: true)] public ?float $length_mm,
        #[OA\Property(nullable: true, description: 'expanded uncertainty, k = 2')] public ?float $length_u_mm,
        #[OA\Property(nullable: true)] public ?float $allowance_mm,
        #[OA\Property(nullable: true)] public ?float $allowance_u_mm,
        #[OA\Property(nullable: true, description: 'change over the row')] public ?float $drift_mm,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), description: 'place along the row and the allowance there, mm')] public array $marks,
    ) {}

    public static function of(ScanAnswer $read): self
    {
        if ($read->length === null || $read->allowance === null) {
            return new self($read->cannot?->value, null, null, null, null, null, []);
        }
        $along = array_column($read->marks, 0);

        return new self(
            null, $read->length->value, $read->length->expanded(), $read->allowance->value, $read->allowance->expanded(),
            $along === [] ? 0.0 : $read->line()->slope * (max($along) - min($along)), $read->marks,
        );
    }
}
