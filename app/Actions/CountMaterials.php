<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Support\Clock;
use App\Support\RoomBook;
use App\Support\Shelf;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Material\Bought;
use OpenSeam\Core\Material\ClassMaterials;
use OpenSeam\Core\Material\Shortage;

/** What a class, or one of its sessions, needs to buy and cut. */
final readonly class CountMaterials
{
    /** Where no machine of the room says otherwise; common practice, no source. */
    private const BOBBIN_METRES = 30.0;

    public function __construct(private Shelf $shelf) {}

    /**
     * @param  int|null  $session  number from 1; null: the whole course
     * @param  float|null  $samplesEach  samples a student sews of a lesson; null: as the skill model expects
     *
     * @throws InputError when there is no such session
     */
    public function __invoke(SewingClass $class, ?int $session = null, ?float $samplesEach = null): ClassMaterials
    {
        $ids = $this->shelf->order($class->course);
        if ($session !== null) {
            $sessions = array_values(PlanSession::ofClass($class->id, true)->get()->all());
            $found = $sessions[$session - 1] ?? throw InputError::at('session', $session, sprintf('The plan has sessions 1 to %d.', count($sessions)));
            $ids = $found->lessonIds();
        }

        return $this->count(RoomBook::read($class->studio_id), self::shop($class), max(1, $class->enrolments()->count()), $ids, $samplesEach);
    }

    /**
     * When something runs short, counted over the sessions that are still to come.
     *
     * @param  array<array-key, float>  $have  by item
     * @return array<array-key, PlanSession> the session by item; what lasts is left out
     */
    public function short(SewingClass $class, array $have, ?float $samplesEach = null): array
    {
        $now = Clock::now();
        $coming = array_values(array_filter(PlanSession::ofClass($class->id, true)->get()->all(), fn (PlanSession $s): bool => $s->endsAt() > $now));
        [$room, $bought, $students] = [RoomBook::read($class->studio_id), self::shop($class), max(1, $class->enrolments()->count())];
        $count = fn (int $from, int $to): ClassMaterials => $this->count(
            $room, $bought, $students, array_merge([], ...array_map(fn (PlanSession $s): array => $s->lessonIds(), array_slice($coming, $from, $to - $from))), $samplesEach,
        );

        return array_map(fn (int $i): PlanSession => $coming[$i], Shortage::first(count($coming), $count, $have));
    }

    /** How things come from the studio's shop. */
    public static function shop(SewingClass $class): Studio
    {
        return Studio::query()->findOrFail($class->studio_id);
    }

    /** @param  list<string>  $lessons */
    private function count(RoomBook $room, Studio $studio, int $students, array $lessons, ?float $samplesEach): ClassMaterials
    {
        $metres = array_map(fn ($m): float => $m->bobbinMetres, array_values($room->room->machines));

        return ClassMaterials::of(
            array_map(fn (string $id): Lesson => $this->shelf->bundle()->lesson($id), $lessons), $students, max(1, count($room->room->machines)),
            Bought::of($studio->cloth_width_mm, $studio->selvedge_mm, $studio->spool_m, $metres === [] ? self::BOBBIN_METRES : min($metres)), $samplesEach,
        );
    }
}
