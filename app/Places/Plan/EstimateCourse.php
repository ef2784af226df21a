<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\SewingClass;
use App\Places\Room\FurnishRoom;
use App\Records\ClassRoom;
use App\Records\CountRepeats;
use App\Records\Shelf;
use App\Views\NamedView;
use OpenSeam\Core\Course\Planning\CourseLayout;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\Repeats;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;

/** How many sessions a course would take a class that is not there yet. */
final readonly class EstimateCourse
{
    /** More sessions than any class has. */
    private const SESSIONS = 60;

    /** For the sessions with time to sew again: each change of the form asks anew. */
    private const SECONDS = 0.5;

    public function __construct(private Shelf $shelf, private FurnishRoom $furnish, private CountRepeats $repeats) {}

    /**
     * @param  SewingClass  $class  not kept, with its studio, course and settings
     * @param  int  $machines  how many stand in the room; only asked while none are kept
     *
     * @throws InputError when wishes contradict each other
     */
    public function __invoke(SewingClass $class, int $students, int $machines, int $minutes, PlanWishes $wishes): EstimateView
    {
        $room = ClassRoom::in($this->furnish->planned($class->studio_id, $machines), $class, $students);
        $lessons = $room->lessons($this->shelf, $class->course);
        try {
            $wishes->check($this->shelf->order($class->course), self::SESSIONS);
            $usable = array_map(fn (int $i): float => $class->frame()->usable($i, $minutes), range(0, self::SESSIONS - 1));
            $laid = CourseLayout::of($lessons, $usable, $wishes);
            $repeats = ($this->repeats)($class, $room, array_values(array_diff(array_column($lessons, 'id'), $wishes->home)), max($usable), Repeats::USUAL);
            $deadline = Deadline::in(self::SECONDS);
            $sure = CourseLayout::of($room->lessons($this->shelf, $class->course, $repeats), $usable, $wishes, fn (): bool => ! $deadline->passed());
        } catch (InputError $e) {
            throw $this->shelf->inTitles($e);
        }
        $named = fn (string $id): NamedView => new NamedView($id, $this->shelf->bundle()->lesson($id)->title);
        $inClass = array_filter(array_column($lessons, 'minutes', 'id'), fn (string $id): bool => ! in_array($id, $wishes->home, true), ARRAY_FILTER_USE_KEY);
        $longest = (string) array_search(max([0.0, ...array_values($inClass)]), $inClass, true);

        return new EstimateView(array_map($named, array_column($lessons, 'id')), count($lessons), array_sum($inClass), $laid->plan->count(), $laid->plan->proven, $sure->plan->count() + $repeats->sessions, $named($longest), $inClass[$longest], array_map($named, $laid->left), $wishes->order->spreads());
    }
}
