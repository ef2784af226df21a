<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** Students and skills. */
#[OA\Schema]
final readonly class ClassView
{
    /**
     * @param  list<SkillView>  $skills
     * @param  list<StandingRowView>  $students
     * @param  list<GapView>  $gaps
     * @param  list<PairView>  $pairs
     */
    public function __construct(
        #[OA\Property] public NamedView $class,
        #[OA\Property(enum: ['gate', 'together'])] public string $policy,
        #[OA\Property] public string $school,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SkillView::class))] public array $skills,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StandingRowView::class))] public array $students,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GapView::class), description: 'of most weight first')] public array $gaps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PairView::class), description: 'who could sit next to whom')] public array $pairs,
    ) {}
}
