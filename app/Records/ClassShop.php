<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Models\Studio;

/** What counting a class's materials needs to know: heads, room, sessions, and how things come from the shop. */
final readonly class ClassShop
{
    /** @param  list<PlanSession>  $sessions  with what is laid in them */
    private function __construct(public SewingClass $class, public RoomInventory $room, public Studio $studio, public int $students, public array $sessions) {}

    public static function of(SewingClass $class): self
    {
        return new self(
            $class, RoomInventory::read($class->studio_id), Studio::query()->findOrFail($class->studio_id), max(1, $class->enrolments()->count()),
            array_values(PlanSession::ofClass($class->id, true)->get()->all()),
        );
    }
}
