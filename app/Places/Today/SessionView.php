<?php

declare(strict_types=1);

namespace App\Places\Today;

use App\Views\TapePieceView;
use OpenApi\Attributes as OA;

/** A session of the course. */
#[OA\Schema]
final readonly class SessionView
{
    /**
     * @param  list<TapePieceView>  $tape
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public int $number,
        #[OA\Property] public int $of,
        #[OA\Property] public string $starts_at,
        #[OA\Property] public string $ends_at,
        #[OA\Property] public int $minutes,
        #[OA\Property(enum: ['before', 'running', 'after'])] public string $state,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapePieceView::class))] public array $tape,
        #[OA\Property(description: 'begun with its bench plan')] public bool $begun,
        #[OA\Property(description: 'of its bench plan')] public int $bench_version,
        #[OA\Property(nullable: true, description: 'what follows when it begins now; null once it has begun or is over')] public ?BeginningView $beginning,
        #[OA\Property(nullable: true, description: 'when somebody said that it begins')] public ?string $begun_at,
        #[OA\Property(description: 'somebody said so; otherwise it ends by its hour')] public bool $ended,
    ) {}
}
