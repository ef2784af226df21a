<?php

declare(strict_types=1);

namespace App\Places\Look;

use OpenApi\Attributes as OA;

/** A word on a kept sample. */
#[OA\Schema]
final readonly class SampleNoteView
{
    public function __construct(
        #[OA\Property(enum: ['note', 'withdrawn', 'brought-back'])] public string $kind,
        #[OA\Property] public string $text,
        #[OA\Property(nullable: true, description: 'null: somebody who is not in the studio any more')] public ?string $by,
        #[OA\Property] public string $at,
    ) {}
}
