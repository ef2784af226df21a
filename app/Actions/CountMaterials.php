<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Support\RoomBook;
use App\Support\Shelf;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Material\ClassMaterials;

/** What a class, or one of its sessions, needs to buy and cut. */
final readonly class CountMaterials
{
    public const CLOTH_WIDTH_MM = 1400.0;

    public const SELVEDGE_MM = 15.0;

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
        $room = RoomBook::read($class->studio_id);
        $metres = array_map(fn ($m): float => $m->bobbinMetres, array_values($room->room->machines));

        return ClassMaterials::of(
            array_map(fn (string $id): Lesson => $this->shelf->bundle()->lesson($id), $ids),
            max(1, $class->enrolments()->count()), max(1, count($room->room->machines)),
            self::CLOTH_WIDTH_MM, self::SELVEDGE_MM, $metres === [] ? 30.0 : min($metres), $samplesEach,
        );
    }
}
