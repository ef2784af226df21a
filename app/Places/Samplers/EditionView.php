<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Models\ShelfEdition;
use OpenApi\Attributes as OA;

/** An edition of the studio's shelf. */
#[OA\Schema]
final readonly class EditionView
{
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public string $what,
        #[OA\Property] public string $made_at,
    ) {}

    public static function of(ShelfEdition $e): self
    {
        return new self($e->number, $e->what, $e->made_at->toIso8601ZuluString());
    }
}
