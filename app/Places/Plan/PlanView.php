<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** The course laid into sessions. */
#[OA\Schema]
final readonly class PlanView
{
    /**
     * @param  list<PlanLessonView>  $lessons
     * @param  list<PlanSessionView>  $sessions
     * @param  list<string>  $left
     * @param  list<PlanProblemView>  $problems
     * @param  list<PlanPinView>  $pins
     * @param  list<string>  $closed
     */
    public function __construct(
        #[OA\Property] public NamedView $class,
        #[OA\Property] public string $course,
        #[OA\Property] public int $version,
        #[OA\Property] public int $students,
        #[OA\Property] public int $machines,
        #[OA\Property] public int $helpers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanLessonView::class))] public array $lessons,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanSessionView::class))] public array $sessions,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $left,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanProblemView::class))] public array $problems,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanPinView::class))] public array $pins,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'days without a class')] public array $closed,
        #[OA\Property(nullable: true, description: 'null once the plan was changed by hand')] public ?PlanProofView $proof,
        #[OA\Property] public PlanWishesView $wishes,
        #[OA\Property(description: 'sessions that hold a lesson')] public int $used_sessions,
        #[OA\Property(description: 'share of its time that the fullest of them takes')] public float $fullest,
    ) {}
}
