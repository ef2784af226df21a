<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One student of a bench plan. */
#[OA\Schema]
final readonly class SeatView
{
    /** @param  list<NamedView>  $choices */
    public function __construct(
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property] public int $number,
        #[OA\Property(enum: ['here', 'late', 'absent', 'left'])] public string $state,
        #[OA\Property(description: '0 where nobody is seated, else 1 or more')] public int $round,
        #[OA\Property(nullable: true)] public ?string $lesson,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'to change or to do, in a sentence')] public string $change,
        #[OA\Property(nullable: true, description: 'null: at the table')] public ?string $machine,
        #[OA\Property(nullable: true)] public ?string $foot,
        #[OA\Property] public bool $stays,
        #[OA\Property(nullable: true, enum: ['machine', 'lesson', 'both'], description: 'what the teacher holds them to')] public ?string $held,
        #[OA\Property(nullable: true, description: 'the first choice, where it is another')] public ?string $wanted,
        #[OA\Property(nullable: true, description: 'why it is another')] public ?string $why,
        #[OA\Property(nullable: true, description: 'what the first choice would cost all others together, in first choices')] public ?float $cost,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'lessons they could sew, first choice first')] public array $choices,
    ) {}
}
