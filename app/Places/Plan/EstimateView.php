<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** How many sessions a course would take. */
#[OA\Schema]
final readonly class EstimateView
{
    /**
     * @param  list<NamedView>  $course
     * @param  list<NamedView>  $left  lessons longer than any session
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'its lessons')] public array $course,
        #[OA\Property] public int $lessons,
        #[OA\Property(description: 'of all lessons together')] public float $minutes,
        #[OA\Property(description: 'fewest')] public int $sessions,
        #[OA\Property] public bool $proven,
        #[OA\Property(description: 'with time to sew again, so that eight in ten have it done')] public int $sure_sessions,
        #[OA\Property] public NamedView $longest,
        #[OA\Property] public float $longest_minutes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $left,
        #[OA\Property(description: 'over as many sessions as it takes; otherwise what the first one holds')] public bool $spreads,
    ) {}
}
