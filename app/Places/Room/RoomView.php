<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Views\FootView;
use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** The room: machines, feet, and what works with what. */
#[OA\Schema]
final readonly class RoomView
{
    /**
     * @param  list<RoomMachineView>  $machines
     * @param  list<FootView>  $feet
     * @param  list<StitchView>  $stitches
     * @param  list<RoomCellView>  $cells
     * @param  list<RoomLessonView>  $lessons
     * @param  list<FootKindView>  $kinds
     * @param  list<NamedView>  $mounts
     * @param  list<NamedView>  $wants
     * @param  list<NamedView>  $cloths
     * @param  list<NamedView>  $made
     * @param  array<string, array<string, mixed>>  $usual  facts of a machine, by drive
     * @param  array<string, list<string>>  $buttonhole_asks
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: RoomMachineView::class))] public array $machines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FootView::class))] public array $feet,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StitchView::class))] public array $stitches,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RoomCellView::class))] public array $cells,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RoomLessonView::class))] public array $lessons,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FootKindView::class))] public array $kinds,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $mounts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $wants,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $cloths,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $made,
        #[OA\Property(type: 'object', description: 'what most machines of each drive can do, to start from', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/MachineFacts'))] public array $usual,
        #[OA\Property(type: 'object', description: 'what can be looked at of a machine’s buttonhole, by the way it sews one', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')))] public array $buttonhole_asks,
        #[OA\Property(type: 'object', description: 'samples of the last year that were sewn with each kind of foot', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public object $uses,
    ) {}
}
