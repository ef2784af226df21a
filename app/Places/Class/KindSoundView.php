<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;

/** The numbers of the skill model for one kind of skill. */
#[OA\Schema]
final readonly class KindSoundView
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public float $start,
        #[OA\Property(description: 'known once it has been demonstrated')] public float $after_demo,
        #[OA\Property] public float $slip,
        #[OA\Property] public float $guess,
        #[OA\Property] public float $transit,
        #[OA\Property(description: 'gone by the studio’s own samples')] public bool $own,
        #[OA\Property] public int $students,
        #[OA\Property] public int $showings,
        #[OA\Property(nullable: true, description: 'mean log loss of showings foretold, students held out, with the usual numbers; null with too few samples')] public ?float $usual_loss,
        #[OA\Property(nullable: true, description: 'the same with numbers from the studio’s own samples')] public ?float $fitted_loss,
    ) {}
}
