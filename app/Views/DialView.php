<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** How one machine of the room is set for a lesson, by its own dial. */
#[OA\Schema]
final readonly class DialView
{
    /** @param  list<string>  $settings */
    public function __construct(
        #[OA\Property] public string $machine,
        #[OA\Property] public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $settings,
        #[OA\Property(nullable: true, description: 'why it cannot be sewn on it')] public ?string $cannot,
        #[OA\Property(nullable: true, description: 'another way it is sewn on it than the class is taught')] public ?string $instead,
    ) {}
}
