<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A thing with a name. */
#[OA\Schema]
final readonly class NamedView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
    ) {}
}
