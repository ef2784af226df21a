<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;

/** A skill that several of a class tried and are not sure of. */
#[OA\Schema]
final readonly class GapView
{
    /** @param  list<string>  $open */
    public function __construct(
        #[OA\Property] public string $skill,
        #[OA\Property] public string $title,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'names')] public array $open,
        #[OA\Property(description: 'students who tried it')] public int $tried,
        #[OA\Property(description: 'so many that it is worth showing to all again')] public bool $again,
    ) {}
}
