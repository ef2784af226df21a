<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Who finishes, and when. */
#[OA\Schema]
final readonly class ForecastView
{
    /**
     * @param  list<ForecastSessionView>  $sessions
     * @param  list<ForecastStudentView>  $students
     */
    public function __construct(
        #[OA\Property] public int $lessons,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ForecastSessionView::class))] public array $sessions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ForecastStudentView::class))] public array $students,
        #[OA\Property(nullable: true, description: 'the lesson that will take longest')] public ?string $stall,
    ) {}
}
