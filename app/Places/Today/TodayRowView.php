<?php

declare(strict_types=1);

namespace App\Places\Today;

use App\Views\AskedView;
use App\Views\InHandView;
use App\Views\LastSampleView;
use OpenApi\Attributes as OA;

/** A student in the session. */
#[OA\Schema]
final readonly class TodayRowView
{
    /**
     * @param  list<string>  $why
     * @param  list<SessionSampleView>  $kept
     */
    public function __construct(
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property] public int $seat,
        #[OA\Property(nullable: true)] public ?string $machine,
        #[OA\Property(type: 'string', enum: ['not-tried', 'begun', 'coming', 'sure', 'refresh-due'])] public string $level,
        #[OA\Property] public InHandView $in_hand,
        #[OA\Property(nullable: true)] public ?LastSampleView $last,
        #[OA\Property] public string $next_title,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $why,
        #[OA\Property] public bool $looked,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SessionSampleView::class), description: 'kept in this session, oldest first')] public array $kept,
        #[OA\Property(nullable: true)] public ?string $sewing_since,
        #[OA\Property(enum: ['here', 'late', 'absent', 'left'])] public string $state,
        #[OA\Property(description: 'of the bench plan it began with; 0 where there is none')] public int $round,
        #[OA\Property(nullable: true, description: 'from their own page; null: nothing')] public ?AskedView $asked,
    ) {}
}
