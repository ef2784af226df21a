<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Machine;
use OpenApi\Attributes as OA;

/** A machine of the room. */
#[OA\Schema]
final readonly class MachineView
{
    /** @param  array<string, mixed>  $facts */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property(enum: ['mechanical', 'computerised', 'straight-only'])] public string $drive,
        #[OA\Property] public string $tension_mark,
        #[OA\Property] public bool $usable,
        #[OA\Property] public string $note,
        #[OA\Property(type: 'object', ref: '#/components/schemas/MachineFacts')] public array $facts,
        #[OA\Property(description: 'between two needle positions; 0 where it has one only')] public float $position_step_mm,
    ) {}

    public static function of(Machine $m): self
    {
        $core = $m->core();

        return new self($m->id, $m->name, $m->drive, $m->tension_mark, $m->usable, $m->note, $core->facts(), $core->swing->positionStepMm());
    }
}
