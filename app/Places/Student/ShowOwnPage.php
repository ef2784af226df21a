<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Models\Enrolment;
use App\Models\OwnLook;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Models\User;
use App\Places\Look\ReadSampler;
use App\Places\Materials\PrintPages;
use App\Places\Room\ShowDials;
use App\Printing\Format;
use App\Records\KeptSample;
use App\Records\OwnLooks;
use App\Records\ReadClass;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Records\StudentAsRead;
use App\Support\Clock;
use App\Support\CurrentStudio;
use App\Support\Link;
use App\Views\AgreementView;
use App\Views\AskedView;
use App\Views\DrawingView;
use App\Views\DrillView;
use App\Views\LastSampleView;
use App\Views\LessonPicturesView;
use App\Views\LessonView;
use App\Views\OwnLookView;
use App\Views\ScannedSamplerView;
use App\Views\StudentViews;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Request;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\HomeMachine;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Words;

/** The page behind a private link: one student's own next lesson and progress. */
final readonly class ShowOwnPage
{
    /** Samples before that are shown, the newest first. */
    private const MOST_SHOWN = 12;

    public function __construct(private CurrentStudio $studio, private ReadClass $read, private Shelf $shelf, private StudentViews $views, private PrintPages $print, private OwnLooks $own, private ShowDials $dials) {}

    /**
     * @param  bool  $home  as it is sewn on the machine at home, where that is known
     *
     * @throws ModelNotFoundException for a link that was never given or is taken back
     */
    public function __invoke(string $token, bool $home = false): OwnPageView
    {
        return $this->within($token, function (Enrolment $enrolment) use ($home): OwnPageView {
            $class = SewingClass::query()->findOrFail($enrolment->class_id);
            $unit = $this->unitOf($class);
            $reading = ($this->read)($class, $unit, $enrolment->student_id, theirs: true);
            $s = $reading->students[$enrolment->student_id];
            $student = $s->enrolment->student;
            [$room, $machine] = $this->sewnAt($class, $s->enrolment, $home);
            $lesson = $this->lesson($class, $s->lesson(), $room, $machine);
            $at = $room->machines->firstWhere('id', $machine);
            $inHand = $this->views->inHand($s, $reading->words, true);
            $next = array_values(array_filter($reading->sessions, fn ($p): bool => $p->starts_at > $reading->now))[0] ?? null;

            return new OwnPageView(
                $student->name, $class->name, $next?->starts_at->toIso8601ZuluString(), Studio::query()->whereKey($class->studio_id)->firstOrFail()->timezone,
                $inHand->title, $lesson->why ?? '', $inHand->change, $lesson === null ? null : DrawingView::of($lesson),
                $lesson->steps ?? [], $lesson->cautions ?? [], $lesson !== null && $lesson->sampler->pieces !== [],
                DrillView::orNull($s->advice->homework),
                $this->views->skills($class, $s),
                $unit->value,
                DrillView::orNull($lesson?->drill($s->drill())),
                array_map(fn (KeptSample $k): LastSampleView => $this->views->last($k, $reading->words), array_reverse(array_slice($s->samples, -self::MOST_SHOWN))),
                AskedView::of($enrolment),
                $lesson === null ? null : LessonView::of($lesson, $this->shelf->bundle()),
                ...$this->looks($s),
                home: $student->atHome()?->machine->name,
                machine: $at->name ?? '',
                dials: $at === null || $lesson === null || ! $lesson->machine ? [] : $this->dials->settings($lesson, $at->core(), $room),
                cannot: $lesson === null ? null : $room->cannotOn($lesson, $machine),
                also: $at?->core()->also ?? [],
            );
        });
    }

    /**
     * The practice sheet of the next lesson.
     *
     * @param  bool  $home  as it is sewn on the machine at home
     *
     * @throws InputError where there is none
     */
    public function sheet(string $token, Format $format, bool $home = false): string
    {
        return $this->within($token, function (Enrolment $enrolment) use ($format, $home): string {
            $class = SewingClass::query()->findOrFail($enrolment->class_id);
            $s = ($this->read)($class, $this->unitOf($class), $enrolment->student_id)->students[$enrolment->student_id];
            $lesson = $this->lesson($class, $s->lesson(), ...$this->sewnAt($class, $s->enrolment, $home))
                ?? throw InputError::at('sheet', null, 'The course is done: there is no sheet to print.');

            return $this->print->lesson($lesson, 'sampler', $format);
        });
    }

    /**
     * The steps of the next lesson, drawn as they are on that machine and for that hand.
     *
     * @param  bool  $home  as it is sewn on the machine at home
     */
    public function pictures(string $token, bool $home = false): LessonPicturesView
    {
        return $this->within($token, function (Enrolment $enrolment) use ($home): LessonPicturesView {
            $class = SewingClass::query()->findOrFail($enrolment->class_id);
            $unit = $this->unitOf($class);
            $s = ($this->read)($class, $unit, $enrolment->student_id)->students[$enrolment->student_id];
            [$room, $machine] = $this->sewnAt($class, $s->enrolment, $home);
            $lesson = $this->lesson($class, $s->lesson(), $room, $machine);
            $at = $room->machines->firstWhere('id', $machine)?->core();

            return $lesson === null ? LessonPicturesView::none() : LessonPicturesView::of(
                LessonPictures::of($lesson, $at === null ? new MachineLook : MachineLook::of($at), $s->enrolment->student->hand === 'left'), $lesson, Words::in($unit),
            );
        });
    }

    public function homeOf(string $token, KeepHome $keep): HomeView
    {
        return $this->within($token, fn (Enrolment $enrolment): HomeView => $keep->show($enrolment->student()->firstOrFail()));
    }

    /** What they say of their own machine; null: nothing any more. */
    public function say(string $token, ?HomeMachine $home, KeepHome $keep): void
    {
        $this->within($token, fn (Enrolment $enrolment) => $keep($enrolment->student()->firstOrFail(), $home));
    }

    /** A question, or the wish that somebody looks, until somebody has. */
    public function ask(string $token, ?string $text): void
    {
        $this->within($token, fn (Enrolment $enrolment): bool => $enrolment->update($text === null ? ['asks' => '', 'asked_at' => null] : ['asks' => $text, 'asked_at' => Clock::now()]));
    }

    /**
     * What they read by themselves, at home or before the teacher looked.
     *
     * @param  array<array-key, mixed>  $readings  as typed
     *
     * @throws InputError when a reading does not fit
     */
    public function look(string $token, string $id, string $lesson, string $place, array $readings, KeepOwnLook $keep): void
    {
        $this->within($token, function (Enrolment $enrolment) use ($id, $lesson, $place, $readings, $keep): void {
            $class = SewingClass::query()->findOrFail($enrolment->class_id);
            $unit = $this->unitOf($class);
            // Read on the sheet that was shown: as it is sewn on that machine.
            $shown = $this->lesson($class, $lesson, ...$this->sewnAt($class, $enrolment, $place === OwnLook::HOME));
            $keep($class, $enrolment->student()->firstOrFail(), $id, $lesson, $place, $readings, $unit, $shown?->way);
        });
    }

    /**
     * What a picture of their sample says, on the sheet that was shown.
     *
     * @throws InputError for a lesson or a piece there is none of, or what is no picture
     */
    public function scan(string $token, Request $request, ReadSampler $read): ScannedSamplerView
    {
        return $this->within($token, function (Enrolment $enrolment) use ($request, $read): ScannedSamplerView {
            $class = SewingClass::query()->findOrFail($enrolment->class_id);
            $unit = $this->unitOf($class);
            $id = $request->string('lesson')->toString();
            $lesson = $this->lesson($class, $id, ...$this->sewnAt($class, $enrolment, $request->query('at') === OwnLook::HOME))
                ?? throw InputError::at('lesson', $id, 'There is no such lesson on the shelf.');

            return $read($request, $lesson, Studio::query()->whereKey($class->studio_id)->firstOrFail(), $unit);
        });
    }

    /** The card that a sample is photographed on; whoever has no link has no use for it. */
    public function card(string $token, Format $format, bool $double, bool $leftHanded): string
    {
        return $this->within($token, fn (): string => $this->print->photoCard($format, $double, $leftHanded));
    }

    /** @return array{list<OwnLookView>, AgreementView} */
    private function looks(StudentAsRead $s): array
    {
        [$views, $agreed] = $this->own->of($s);

        return [array_slice($views, 0, self::MOST_SHOWN), AgreementView::from($agreed)];
    }

    /** Whoever sews by the link reads the ruler that the class is taught with. */
    private function unitOf(SewingClass $class): Unit
    {
        $unit = User::query()->whereKey($class->made_by)->first()->unit ?? Unit::Millimetre;
        $this->shelf->in($unit);

        return $unit;
    }

    /** @return array{RoomInventory, string|null} where it is sewn: the machine of the seat, or the one at home where it is known */
    private function sewnAt(SewingClass $class, Enrolment $enrolment, bool $home): array
    {
        $own = $home ? RoomInventory::atHome($enrolment->student) : null;

        return $own === null ? [RoomInventory::read($class->studio_id), $enrolment->machine_id] : [$own, RoomInventory::OWN];
    }

    /** As it is sewn on a machine. */
    private function lesson(SewingClass $class, ?string $id, RoomInventory $room, ?string $machine): ?Lesson
    {
        $lesson = $id === null ? null : $this->shelf->taught($class)->lessons[$id] ?? null;

        return $lesson === null ? null : $room->onMachine($lesson, $machine) ?? $lesson;
    }

    /**
     * @template T
     *
     * @param  callable(Enrolment): T  $work
     * @return T
     */
    private function within(string $token, callable $work): mixed
    {
        // Whoever has the link is nobody's teacher: the studio comes from the link alone.
        $hash = Link::read($token);
        $enrolment = $hash === null ? null : $this->studio->everywhere(fn (): ?Enrolment => Enrolment::query()->where('page_hash', $hash)->where('page_until', '>', Clock::now())->whereHas('student')->first());

        return $enrolment === null ? throw (new ModelNotFoundException)->setModel(Enrolment::class) : $this->studio->within($enrolment->studio_id, fn (): mixed => $work($enrolment));
    }
}
