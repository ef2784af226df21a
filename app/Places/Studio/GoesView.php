<?php

declare(strict_types=1);

namespace App\Places\Studio;

use OpenApi\Attributes as OA;

/** What goes with a class or a student when it is deleted. */
#[OA\Schema]
final readonly class GoesView
{
    /**
     * @param  list<string>  $students
     * @param  list<string>  $staying
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $students,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $staying,
        #[OA\Property] public int $samples,
        #[OA\Property] public int $photos,
        #[OA\Property(description: 'it can be brought back until this day')] public string $until,
    ) {}
}
