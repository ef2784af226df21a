<?php

declare(strict_types=1);

namespace App\Places\Today;

use App\Models\BenchPlan;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Records\ClassAsRead;
use App\Records\ClassRoom;
use App\Records\KeptSample;
use App\Records\ReadClass;
use App\Records\SessionInHand;
use App\Records\Shelf;
use App\Records\StudentAsRead;
use App\Support\CurrentStudio;
use App\Support\NearMemory;
use App\Views\AskedView;
use App\Views\NamedView;
use App\Views\StudentViews;
use App\Views\TapePieceView;
use App\Views\Titles;
use DateTimeZone;
use OpenSeam\Core\Course\SessionState;
use OpenSeam\Core\Course\SessionTape;
use OpenSeam\Core\Measure\Unit;

/**
 * The session in hand: its tape, and a row for each student.
 *
 * @phpstan-import-type Piece from SessionTape
 */
final readonly class ShowToday
{
    private const TOLD_SECONDS = 12 * 3600;

    public function __construct(private ReadClass $read, private Shelf $shelf, private StudentViews $views, private CurrentStudio $studio, private NearMemory $memory) {}

    public function __invoke(SewingClass $class, Unit $unit): TodayView
    {
        $reading = ($this->read)($class, $unit, planned: true);
        $inHand = $reading->sessionInHand();

        return new TodayView(
            $reading->now->toIso8601ZuluString(),
            new NamedView($class->id, $class->name),
            $inHand === null ? null : $this->session($reading, $inHand),
            array_values(array_map(fn (StudentAsRead $s): TodayRowView => $this->row($reading, $s, $inHand), $reading->students)),
        );
    }

    /** @return list<CaughtUpView> what is kept of everybody in one session of the class */
    public function of(SewingClass $class, string $session, Unit $unit): array
    {
        $held = PlanSession::ofClass($class->id)->where('plan_sessions.id', $session)->firstOrFail();
        $reading = ($this->read)($class, $unit);

        return array_values(array_map(fn (StudentAsRead $s): CaughtUpView => new CaughtUpView(
            $s->enrolment->student_id, $s->enrolment->student->name, $s->enrolment->seat, $held->bench()->away[$s->enrolment->student_id] ?? 'here',
            $this->told($s->keptIn($session)),
        ), $reading->students));
    }

    private function session(ClassAsRead $reading, SessionInHand $inHand): SessionView
    {
        $room = ClassRoom::of($reading->class, count($reading->students));
        $session = $inHand->session;
        $lessons = [];
        foreach ($session->lessonIds() as $id) {
            $lessons[$id] = $room->minutes($this->shelf, $id);
        }
        $planned = SessionTape::of($lessons, $session->lasts(), $reading->class->frame(), $session->position);
        // Begun with its bench plan, the evening goes by that.
        $pieces = $session->bench()->started_at !== null ? $session->bench()->tape : $planned;
        $tape = array_map(fn (array $p): TapePieceView => TapePieceView::of($p, $this->shelf->bundle(), $reading->words), $pieces);

        return new SessionView(
            $session->id, $session->position + 1, count($reading->sessions),
            $session->beginsAt()->toIso8601ZuluString(), $session->endsAt()->toIso8601ZuluString(), $session->lasts(), $inHand->state->value, $tape, $session->bench()->started_at !== null, $session->bench()->version,
            ! self::hasBegun($reading, $session) && $inHand->state !== SessionState::After ? $this->beginning($session, $planned, $reading) : null,
            $session->begun_at?->toIso8601ZuluString(), $session->ended_at !== null,
        );
    }

    /** Somebody said so, or a sample of it was looked at already. */
    private static function hasBegun(ClassAsRead $reading, PlanSession $session): bool
    {
        return $session->begun_at !== null || array_filter($reading->students, fn (StudentAsRead $s): bool => $s->lookedAtIn($session->id)) !== [];
    }

    /** @param  list<Piece>  $planned */
    private function beginning(PlanSession $session, array $planned, ClassAsRead $reading): BeginningView
    {
        $now = $session->begin($reading->now);
        $lost = $now->kind === 'late' ? SessionTape::lost($planned, $session->minutes, $reading->class->frame(), $now->by) : [];

        return new BeginningView($now->kind, $now->by, $now->ends->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'), $now->left, array_map(fn (string $id): string => Titles::of($this->shelf->bundle(), $id), $lost));
    }

    /**
     * Of the session in hand; what was kept apart from a session, of this day in the studio's own zone.
     *
     * @return list<KeptSample>
     */
    private function ofNow(ClassAsRead $reading, StudentAsRead $s, ?SessionInHand $inHand): array
    {
        $today = $reading->now->setTimezone($this->studio->timezone())->startOfDay();
        $tomorrow = $today->addDay();
        $session = $inHand?->session->id;

        return array_values(array_filter($s->samples, fn (KeptSample $k): bool => $k->sample->plan_session_id === null ? $k->at >= $today && $k->at < $tomorrow : $k->sample->plan_session_id === $session));
    }

    /**
     * The same each time for what the samples showed.
     *
     * @param  list<KeptSample>  $kept
     * @return list<SessionSampleView>
     */
    private function told(array $kept): array
    {
        $keys = array_map(fn (KeptSample $k): ?string => $k->key, $kept);

        return $kept === [] || in_array(null, $keys, true) ? array_map($this->kept(...), $kept)
            : $this->memory->remember('kept/'.hash('xxh128', implode('/', $keys)), self::TOLD_SECONDS, fn (): array => array_map($this->kept(...), $kept));
    }

    private function kept(KeptSample $kept): SessionSampleView
    {
        return new SessionSampleView($kept->sample->id, $kept->sample->lesson, $kept->readings()->rows(), $kept->verdict()?->value, $kept->at->format('Y-m-d\TH:i:s\Z'));
    }

    private function row(ClassAsRead $reading, StudentAsRead $s, ?SessionInHand $inHand): TodayRowView
    {
        $running = $inHand !== null && $inHand->state === SessionState::Running;
        $sewing = $running ? ($s->lastIn($inHand->session->id) ?? $inHand->session->beginsAt()) : null;
        $last = $s->last();
        $bench = $inHand?->session->bench() ?? new BenchPlan;

        return new TodayRowView(
            $s->enrolment->student_id, $s->enrolment->student->name, $s->enrolment->seat, $s->enrolment->machine?->name,
            $this->views->levelOf($s)->value,
            $this->views->inHand($s, $reading->words),
            $last === null ? null : $this->views->last($last, $reading->words),
            $this->views->then($reading, $s),
            $this->views->why($s),
            $inHand !== null && $s->lookedAtIn($inHand->session->id),
            $this->told($this->ofNow($reading, $s, $inHand)),
            $sewing?->toIso8601ZuluString(),
            $bench->away[$s->enrolment->student_id] ?? 'here',
            array_column($bench->seats, 'round', 'student')[$s->enrolment->student_id] ?? 0,
            AskedView::of($s->enrolment),
        );
    }
}
