<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** Who is signed in. */
#[OA\Schema]
final readonly class MeView
{
    /**
     * @param  list<NamedView>  $classes
     * @param  list<NamedView>  $courses
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $studio,
        #[OA\Property(enum: ['mm', 'in'])] public string $unit,
        #[OA\Property] public string $timezone,
        #[OA\Property] public string $now,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $classes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'courses on the shelf to plan a class from')] public array $courses,
    ) {}
}
