<?php

declare(strict_types=1);

namespace App\Places\Today;

use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** The session in hand. */
#[OA\Schema]
final readonly class TodayView
{
    /**
     * @param  list<TodayRowView>  $students
     */
    public function __construct(
        #[OA\Property] public string $now,
        #[OA\Property] public NamedView $class,
        #[OA\Property(nullable: true)] public ?SessionView $session,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TodayRowView::class))] public array $students,
    ) {}
}
