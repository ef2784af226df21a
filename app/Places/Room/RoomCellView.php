<?php

declare(strict_types=1);

namespace App\Places\Room;

use OpenApi\Attributes as OA;

/** Whether a machine sews a stitch, at the settings most people start from. */
#[OA\Schema]
final readonly class RoomCellView
{
    public function __construct(
        #[OA\Property] public string $machine,
        #[OA\Property] public string $stitch,
        #[OA\Property] public bool $works,
        #[OA\Property(nullable: true)] public ?string $foot,
        #[OA\Property(enum: ['clear', 'close', 'strike'])] public string $clearance,
        #[OA\Property] public float $width_mm,
        #[OA\Property] public float $length_mm,
        #[OA\Property] public string $why,
        #[OA\Property] public string $instead,
    ) {}
}
