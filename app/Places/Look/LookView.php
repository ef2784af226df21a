<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Views\DrillView;
use App\Views\FootView;
use App\Views\InHandView;
use App\Views\LastSampleView;
use App\Views\LessonView;
use App\Views\MachineView;
use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** All that looking at one sample needs. */
#[OA\Schema]
final readonly class LookView
{
    /**
     * @param  list<LastSampleView>  $earlier
     * @param  list<MachineView>  $machines
     * @param  list<FootView>  $feet
     * @param  list<string>  $dials
     * @param  list<array{id: string, number: int, starts_at: string}>  $sessions
     */
    public function __construct(
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property] public int $seat,
        #[OA\Property] public LessonView $lesson,
        #[OA\Property(nullable: true)] public ?DrillView $drill,
        #[OA\Property] public int $number,
        #[OA\Property] public InHandView $in_hand,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LastSampleView::class))] public array $earlier,
        #[OA\Property(nullable: true)] public ?string $machine,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MachineView::class))] public array $machines,
        #[OA\Property(nullable: true)] public ?NamedView $next_student,
        #[OA\Property(nullable: true, description: 'why this lesson cannot be sewn in this room, or not on the student’s machine')] public ?string $cannot,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FootView::class))] public array $feet,
        #[OA\Property(nullable: true, description: 'what is corrected')] public ?ReplacedView $replaced,
        #[OA\Property(type: 'array', description: 'as the dials of the machine it is sewn on say it', items: new OA\Items(type: 'string'))] public array $dials,
        #[OA\Property(type: 'array', description: 'that have begun, the last one first: it may have been sewn in one of them', items: new OA\Items(properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'number', type: 'integer'), new OA\Property(property: 'starts_at', type: 'string')], type: 'object', required: ['id', 'number', 'starts_at']))] public array $sessions,
    ) {}
}
