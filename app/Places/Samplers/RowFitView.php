<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\RowInRoom;

/** Whether a machine of the room sews a row. */
#[OA\Schema]
final readonly class RowFitView
{
    public function __construct(
        #[OA\Property] public string $machine,
        #[OA\Property] public bool $works,
        #[OA\Property] public string $foot,
        #[OA\Property(nullable: true, description: 'least room between needle and foot')] public ?float $margin_mm,
        #[OA\Property(enum: ['clear', 'close', 'strike'])] public string $clearance,
        #[OA\Property] public string $why,
    ) {}

    public static function of(RowInRoom $r): self
    {
        return new self($r->machine, $r->works, $r->foot, $r->marginMm, $r->clearance, $r->why);
    }
}
