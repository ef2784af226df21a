<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Models\Foot;
use App\Models\Machine;

/** Machines for a studio that has none yet, each with its standard foot. */
final readonly class FurnishRoom
{
    public function __invoke(string $studio, int $machines): void
    {
        if (Machine::standing()->where('studio_id', $studio)->exists()) {
            return;
        }
        for ($i = 1; $i <= $machines; $i++) {
            Machine::query()->create(['studio_id' => $studio, 'name' => "Machine $i", 'drive' => 'mechanical']);
        }
        Foot::add($studio, ['kind' => 'standard', 'count' => $machines]);
    }
}
