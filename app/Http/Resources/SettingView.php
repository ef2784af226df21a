<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** What to set. */
#[OA\Schema]
final readonly class SettingView
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $value,
    ) {}
}
