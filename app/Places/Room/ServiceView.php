<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Models\ServiceEntry;
use OpenApi\Attributes as OA;

/** Something that was done to a machine. */
#[OA\Schema]
final readonly class ServiceView
{
    public function __construct(
        #[OA\Property(type: 'string', enum: ['needle', 'clean', 'service', 'out-of-use', 'in-use'])] public string $kind,
        #[OA\Property] public string $note,
        #[OA\Property] public string $done_at,
    ) {}

    public static function of(ServiceEntry $e): self
    {
        return new self($e->kind, $e->note, $e->done_at->toIso8601ZuluString());
    }
}
