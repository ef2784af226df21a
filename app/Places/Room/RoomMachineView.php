<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Views\MachineView;
use OpenApi\Attributes as OA;

/** A machine with its care. */
#[OA\Schema]
final readonly class RoomMachineView
{
    /**
     * @param  list<string>  $due
     * @param  list<ServiceView>  $log
     * @param  list<string>  $drifts
     */
    public function __construct(
        #[OA\Property] public MachineView $machine,
        #[OA\Property(nullable: true)] public ?string $needle_on,
        #[OA\Property(nullable: true)] public ?string $clean_on,
        #[OA\Property] public float $needle_hours,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $due,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ServiceView::class))] public array $log,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'faults that different students have on it, more than chance would have it')] public array $drifts,
    ) {}
}
