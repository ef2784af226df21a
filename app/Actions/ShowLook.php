<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\DrillView;
use App\Http\Resources\FootView;
use App\Http\Resources\LastSampleView;
use App\Http\Resources\LessonView;
use App\Http\Resources\LookView;
use App\Http\Resources\MachineView;
use App\Http\Resources\NamedView;
use App\Http\Resources\StudentViews;
use App\Models\SewingClass;
use App\Support\KeptSample;
use App\Support\RoomBook;
use App\Support\Shelf;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Measure\Unit;

/** All that looking at one student's sample needs. */
final readonly class ShowLook
{
    public function __construct(private ReadClass $read, private Shelf $shelf, private StudentViews $views) {}

    /** @throws \OpenSeam\Core\InputError for a lesson that is not known */
    public function __invoke(SewingClass $class, string $student, ?string $lesson, Unit $unit, ?int $version = null): LookView
    {
        $reading = ($this->read)($class, $unit);
        $s = $reading->students[$student] ?? throw new ModelNotFoundException;
        $order = $this->shelf->order($class->course);
        $asked = $lesson ?? $s->lesson() ?? $order[count($order) - 1];
        $found = $this->shelf->bundle()->lesson($asked);
        $found = $version === null || $version === $found->version ? $found : $this->shelf->earlier($asked, $version) ?? $found;
        $drill = $asked === $s->lesson() ? $s->drill() : null;
        $earlier = array_values(array_filter($s->samples, fn (KeptSample $k): bool => $k->sample->lesson === $asked));
        $after = $reading->after($student);
        $room = RoomBook::read();

        return new LookView(
            $student, $s->enrolment->student->name, $s->enrolment->seat,
            LessonView::of($found, $this->shelf->bundle()),
            array_values(array_map(DrillView::of(...), array_filter($found->drills, fn (Drill $d): bool => $d->id === $drill)))[0] ?? null,
            count($earlier) + 1,
            $this->views->inHand($s, $reading->words),
            array_map(fn (KeptSample $k): LastSampleView => $this->views->last($k, $reading->words), array_reverse($earlier)),
            $s->enrolment->machine_id,
            array_values($room->machines->map(MachineView::of(...))->all()),
            $after === null ? null : new NamedView($after->enrolment->student_id, $after->enrolment->student->name),
            $room->cannot($found) ?? $room->cannotOn($found, $s->enrolment->machine_id),
            array_values($room->feet->map(FootView::of(...))->all()),
        );
    }
}
