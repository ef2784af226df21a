<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\PlanSession;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Places\Room\ShowDials;
use App\Records\ClassAsRead;
use App\Records\KeptSample;
use App\Records\ReadClass;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Views\DrillView;
use App\Views\FootView;
use App\Views\LastSampleView;
use App\Views\LessonView;
use App\Views\MachineView;
use App\Views\NamedView;
use App\Views\StudentViews;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;

/** All that looking at one student's sample needs. */
final readonly class ShowLook
{
    public function __construct(private ReadClass $read, private Shelf $shelf, private StudentViews $views, private ShowDials $dials) {}

    /**
     * @param  string|null  $machine  it was sewn on; null: where the student sits
     * @param  list<string>|null  $schools  it was sewn by; null: as the class is taught, or another way where that machine needs one
     * @param  string|null  $replaces  the sample that is corrected: its lesson, version and drill, whatever is assigned now
     *
     * @throws InputError for a lesson that is not known, or a sample that cannot be corrected
     */
    public function __invoke(SewingClass $class, string $student, ?string $lesson, Unit $unit, ?int $version = null, ?string $replaces = null, ?string $machine = null, ?array $schools = null): LookView
    {
        $reading = ($this->read)($class, $unit);
        $s = $reading->students[$student] ?? throw new ModelNotFoundException;
        $old = $replaces === null ? null : $this->corrected($s->samples, $replaces);
        if ($old !== null) {
            [$lesson, $version] = [$old->sample->lesson, $old->sample->lesson_version];
        }
        $order = $this->shelf->order($class->course);
        $asked = $lesson ?? $s->lesson() ?? $order[count($order) - 1];
        $room = RoomInventory::read()->with($s->enrolment->student);
        $at = $machine ?? $s->enrolment->machine_id;
        $found = $old !== null ? $this->shelf->sewn($old->sample) ?? $this->shelf->bundle()->lesson($asked) : $this->taught($class, $asked, $version, $schools, $room, $at);
        $drill = $old !== null ? $old->sample->drill : ($asked === $s->lesson() ? $s->drill() : null);
        $earlier = array_values(array_filter($s->samples, fn (KeptSample $k): bool => $k->sample->lesson === $asked && $k !== $old));
        $after = $reading->after($student);
        $sewnOn = $at === null ? null : $room->machines->firstWhere('id', $at);

        return new LookView(
            $student, $s->enrolment->student->name, $s->enrolment->seat,
            LessonView::of($found, $this->shelf->bundle()),
            DrillView::orNull($found->drill($drill)),
            count($earlier) + 1,
            $this->views->inHand($s, $reading->words),
            array_map(fn (KeptSample $k): LastSampleView => $this->views->last($k, $reading->words), array_reverse($earlier)),
            $at,
            array_values($room->machines->map(MachineView::of(...))->all()),
            $after === null ? null : new NamedView($after->enrolment->student_id, $after->enrolment->student->name),
            $room->cannot($found) ?? $room->cannotOn($found, $at),
            array_values($room->feet->map(FootView::of(...))->all()),
            $old === null ? null : ReplacedView::of($old, $found, $unit),
            $sewnOn === null || ! $found->machine ? [] : $this->dials->settings($found, $sewnOn->core(), $room),
            self::begun($reading),
        );
    }

    /** @return list<array{id: string, number: int, starts_at: string}> sessions that have begun, the last one first */
    private static function begun(ClassAsRead $reading): array
    {
        $begun = array_filter($reading->sessions, fn (PlanSession $s): bool => $s->beginsAt() <= $reading->now);

        return array_map(fn (PlanSession $s, int $i): array => ['id' => $s->id, 'number' => $i + 1, 'starts_at' => $s->beginsAt()->toIso8601ZuluString()], array_reverse($begun), array_reverse(array_keys($begun)));
    }

    /**
     * The lesson as it is sewn at a machine.
     *
     * @param  list<string>|null  $schools
     *
     * @throws InputError for a school it does not name
     */
    private function taught(SewingClass $class, string $asked, ?int $version, ?array $schools, RoomInventory $room, ?string $machine): Lesson
    {
        $today = $this->shelf->bundle()->lesson($asked);
        $lesson = $version === null || $version === $today->version ? $today : $this->shelf->earlier($asked, $version) ?? $today;
        $lesson = $schools === null ? Shelf::inWay($lesson, new Way($class->lesson_schools[$asked] ?? [])) : $lesson->in(new Way($schools));

        return ($schools === null ? $room->onMachine($lesson, $machine) : $room->fromItsStitches($lesson, $machine)) ?? $lesson;
    }

    /** @param  list<KeptSample>  $samples  that count */
    private function corrected(array $samples, string $id): KeptSample
    {
        // Corrected meanwhile, it is the correction that is put right.
        for ($newest = $id; $newest !== null; $newest = Sample::query()->where('replaces_id', $newest)->value('id')) {
            foreach ($samples as $kept) {
                if ($kept->sample->id === $newest) {
                    return $kept;
                }
            }
        }
        throw InputError::at('replaces', $id, 'This sample cannot be corrected: it was withdrawn, or belongs to somebody else.');
    }
}
