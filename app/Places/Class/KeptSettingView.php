<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;

/** What was set when a sample was sewn. */
#[OA\Schema]
final readonly class KeptSettingView
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $value,
    ) {}
}
