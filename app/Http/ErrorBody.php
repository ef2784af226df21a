<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** What is wrong, what is allowed, and that nothing was stored. */
#[OA\Schema]
final readonly class ErrorBody
{
    public function __construct(
        #[OA\Property] public string $field,
        #[OA\Property(nullable: true)] public mixed $got,
        #[OA\Property] public string $message,
        #[OA\Property] public string $kept,
    ) {}
}
