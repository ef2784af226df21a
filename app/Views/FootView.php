<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Foot;
use OpenApi\Attributes as OA;

/** A kind of foot of the room. */
#[OA\Schema]
final readonly class FootView
{
    /** @param  array<string, mixed>  $facts */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(type: 'object', ref: '#/components/schemas/FootFacts')] public array $facts,
    ) {}

    public static function of(Foot $f): self
    {
        return new self($f->id, $f->core()->facts());
    }
}
