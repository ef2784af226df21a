<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;

/** The studio's history gone through again: how far verdicts and next lessons can be trusted. */
#[OA\Schema]
final readonly class SoundnessView
{
    /**
     * @param  list<SchoolSoundView>  $schools
     * @param  list<RuleSoundView>  $rules
     * @param  list<KindSoundView>  $kinds
     */
    public function __construct(
        #[OA\Property] public int $students,
        #[OA\Property] public int $samples,
        #[OA\Property(description: 'verdicts of checks that were given')] public int $verdicts,
        #[OA\Property(description: 'of them overruled by the teacher')] public int $overruled,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SchoolSoundView::class))] public array $schools,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RuleSoundView::class))] public array $rules,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KindSoundView::class))] public array $kinds,
        #[OA\Property(description: 'showings of a kind before anything is fitted')] public int $enough,
        #[OA\Property(description: 'and students')] public int $enough_students,
        #[OA\Property(description: 'some kind goes by the studio’s own numbers')] public bool $own,
    ) {}
}
