<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** The studio's shelf and how it came to be. */
#[OA\Schema]
final readonly class ShelfView
{
    /**
     * @param  list<NamedView>  $own
     * @param  list<NamedView>  $courses
     * @param  list<EditionView>  $editions
     */
    public function __construct(
        #[OA\Property(description: 'number of the edition in use; 0: as it came')] public int $edition,
        #[OA\Property] public int $lessons,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'lessons that are the studio\'s own or changed by it')] public array $own,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $courses,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EditionView::class), description: 'newest first')] public array $editions,
    ) {}
}
