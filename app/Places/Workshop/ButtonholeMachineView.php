<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use OpenApi\Attributes as OA;

/** A machine of the room and how it would do a buttonhole. */
#[OA\Schema]
final readonly class ButtonholeMachineView
{
    public function __construct(
        #[OA\Property] public string $machine,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'how it sews one; by-hand where it has none of its own')] public string $way,
        #[OA\Property(nullable: true, description: 'the foot of the room that it takes for it')] public ?string $foot,
        #[OA\Property(nullable: true)] public ?string $foot_name,
        #[OA\Property(description: 'it sews the kind that is wanted')] public bool $kind,
        #[OA\Property(nullable: true, description: 'it can be set so long; null: nobody knows')] public ?bool $fits,
        #[OA\Property(description: 'that the next one on it is met, from those before')] public float $success,
        #[OA\Property(description: 'looked at so far')] public int $sewn,
    ) {}
}
