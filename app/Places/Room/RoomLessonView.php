<?php

declare(strict_types=1);

namespace App\Places\Room;

use OpenApi\Attributes as OA;

/** What the room means for a lesson of the running course. */
#[OA\Schema]
final readonly class RoomLessonView
{
    public function __construct(
        #[OA\Property] public string $lesson,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['cannot', 'short'])] public string $kind,
        #[OA\Property] public string $text,
    ) {}
}
