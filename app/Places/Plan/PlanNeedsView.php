<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Views\DayFootView;
use OpenApi\Attributes as OA;

/** What one session of a plan needs to stand ready. */
#[OA\Schema]
final readonly class PlanNeedsView
{
    /**
     * @param  list<DayFootView>  $feet
     * @param  list<string>  $cloth
     */
    public function __construct(
        #[OA\Property(description: 'number of the session, from 1')] public int $session,
        #[OA\Property(description: 'machines that sew at the same time')] public int $machines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DayFootView::class))] public array $feet,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'cloth to cut, in words')] public array $cloth,
    ) {}
}
