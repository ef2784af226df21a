<?php

declare(strict_types=1);

namespace App\Places\Today;

use OpenApi\Attributes as OA;

/** What is kept of one student in a session that is over, or running. */
#[OA\Schema]
final readonly class CaughtUpView
{
    /** @param  list<SessionSampleView>  $samples */
    public function __construct(
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property] public int $seat,
        #[OA\Property(enum: ['here', 'late', 'absent', 'left'])] public string $state,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SessionSampleView::class))] public array $samples,
    ) {}
}
