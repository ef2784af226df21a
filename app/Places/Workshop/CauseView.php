<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Fault\Cause;

/** What may be behind a fault, and the one change that shows it. */
#[OA\Schema]
final readonly class CauseView
{
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['habit', 'thread', 'needle', 'setting', 'guide', 'machine'])] public string $kind,
        #[OA\Property] public string $do,
        #[OA\Property] public float $minutes,
        #[OA\Property(description: '0 to 1')] public float $chance,
        #[OA\Property(nullable: true, enum: ['cured', 'same', 'worse'], description: 'what came of trying it')] public ?string $result,
    ) {}

    public static function of(Cause $cause, float $chance, ?string $result): self
    {
        return new self($cause->id, $cause->title, $cause->kind, $cause->do, $cause->minutes, $chance, $result);
    }
}
