<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Models\Foot;
use App\Models\Machine;
use App\Records\RoomInventory;
use Illuminate\Database\Eloquent\Collection;

/** Machines for a studio that has none yet, each with its standard foot. */
final readonly class FurnishRoom
{
    public function __invoke(string $studio, int $machines): void
    {
        if (Machine::standing()->where('studio_id', $studio)->exists()) {
            return;
        }
        foreach (self::machines($studio, $machines) as $machine) {
            $machine->save();
        }
        self::feet($studio, $machines)->save();
    }

    /** The room as it stands, or as it would be furnished: nothing is kept. */
    public function planned(string $studio, int $machines): RoomInventory
    {
        $room = RoomInventory::read($studio);

        return $room->machines->isEmpty() ? RoomInventory::of(new Collection(self::machines($studio, $machines)), new Collection([...$room->feet, self::feet($studio, $machines)])) : $room;
    }

    /** @return list<Machine> */
    private static function machines(string $studio, int $count): array
    {
        return array_map(fn (int $i): Machine => new Machine(['id' => (new Machine)->newUniqueId(), 'studio_id' => $studio, 'name' => "Machine $i", 'drive' => 'mechanical']), $count < 1 ? [] : range(1, $count));
    }

    private static function feet(string $studio, int $machines): Foot
    {
        return Foot::made($studio, ['kind' => 'standard', 'count' => $machines])->forceFill(['id' => (new Foot)->newUniqueId()]);
    }
}
