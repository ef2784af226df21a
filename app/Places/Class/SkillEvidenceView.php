<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** Everything behind one level. */
#[OA\Schema]
final readonly class SkillEvidenceView
{
    /**
     * @param  list<NamedView>  $needs
     * @param  list<ShowingView>  $showings
     */
    public function __construct(
        #[OA\Property] public SkillView $skill,
        #[OA\Property] public string $student,
        #[OA\Property(type: 'string', enum: ['not-tried', 'begun', 'coming', 'sure', 'refresh-due'])] public string $level,
        #[OA\Property] public float $known,
        #[OA\Property(description: 'the last samples say both, well and badly')] public bool $mixed,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $needs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ShowingView::class))] public array $showings,
    ) {}
}
