<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Who sits where with what in the session in hand. */
#[OA\Schema]
final readonly class BenchView
{
    /**
     * @param  list<SeatView>  $students
     * @param  list<NamedView>  $machines
     * @param  list<DayFootView>  $feet
     * @param  list<TapePieceView>  $tape
     */
    public function __construct(
        #[OA\Property] public NamedView $class,
        #[OA\Property] public string $session,
        #[OA\Property] public int $number,
        #[OA\Property] public string $starts_at,
        #[OA\Property] public int $minutes,
        #[OA\Property(enum: ['before', 'running', 'after'])] public string $state,
        #[OA\Property] public int $version,
        #[OA\Property] public int $most_lessons,
        #[OA\Property(nullable: true)] public ?string $started_at,
        #[OA\Property] public bool $proven,
        #[OA\Property(description: 'what holding students costs, in first choices')] public float $cost,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeatView::class), description: 'in the order of their numbers')] public array $students,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'in use, in the order they stand')] public array $machines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DayFootView::class), description: 'to hand out')] public array $feet,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapePieceView::class))] public array $tape,
    ) {}
}
