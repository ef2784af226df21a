<?php

declare(strict_types=1);

namespace App\Places\Front;

use OpenApi\Attributes as OA;

/** What the screen at the front shows: which lesson, which of its pictures, since when. Nobody's name. */
#[OA\Schema]
final readonly class FrontView
{
    public function __construct(
        #[OA\Property(description: 'of the turn of a page; a screen follows what is newer than what it shows')] public int $version,
        #[OA\Property(nullable: true)] public ?string $lesson,
        #[OA\Property(description: 'which picture, from 0')] public int $at,
        #[OA\Property(nullable: true, description: 'the demonstration began')] public ?string $begun_at,
    ) {}
}
