<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\Enrolment;
use App\Models\LessonAssignment;
use App\Models\Sample;
use App\Models\SampleFault;
use App\Models\SampleReading;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\User;
use App\Records\AssignLesson;
use App\Records\FollowSamples;
use App\Records\JudgedSample;
use App\Records\NewSample;
use App\Records\Standings;
use App\Records\WhenSewn;
use App\Support\Clock;
use App\Support\Conflict;
use App\Support\Metrics\Counts;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenSeam\Core\Grading\Overruling;
use OpenSeam\Core\InputError;
use OpenSeam\Core\NextLesson\PastSample;

/**
 * Keeps a sample: readings, faults and settings as they are, the standings that
 * follow, and what the student sews next. All of it or nothing.
 */
final readonly class RecordSample
{
    public function __construct(private JudgeSample $judge, private AssignLesson $assign, private Standings $standings, private FollowSamples $follow) {}

    /**
     * @throws InputError when a reading does not fit or there is nothing to keep
     * @throws Conflict when the id or the corrected sample is taken
     */
    public function __invoke(User $user, SewingClass $class, Student $student, NewSample $new): JudgedSample
    {
        $judged = DB::transaction(function () use ($user, $class, $student, $new): JudgedSample {
            Student::lock([$student->id]);
            $when = WhenSewn::of($class, $new->at, $new->session, Clock::now());
            $judged = ($this->judge)($class, $student, $new->lesson, $new->readings, $new->faults, $user->unit, $new->id, $new->replaces, $new->version, $new->overruled, $new->drill, $new->way, $when->said ? $when->at : null);
            if ($judged->grade->verdict() === null) {
                throw InputError::at('readings', null, 'There is nothing to judge yet: fill in the readings of one row, or tick a fault.');
            }
            // Looked for in all studios: an id taken elsewhere must not be written over either.
            $kept = Sample::query()->withoutGlobalScopes()->find($new->id);
            if ($kept !== null) {
                // Sent again after a broken line: the first one counts, once.
                if ($kept->studio_id !== $class->studio_id || ! $this->isSame($kept, $student, $judged, $new)) {
                    throw Conflict::sampleTaken($new->id);
                }

                return $judged;
            }
            self::checkMeanwhile($new, $judged);
            SewnWith::check($judged->lesson, $student, $new->settings);
            $old = $this->corrected($user, $new, $student);
            $this->store($user, $class, $student, $judged, $new, $old, $when);
            $given = $old === null ? null : LessonAssignment::query()->where('sample_id', $old->id)->first();
            $given?->update(['sample_id' => $new->id]);
            if ($when->said && $old === null && $judged->past[count($judged->past) - 1]->evidence->sample !== $new->id) {
                // Something was looked at since: standings and proposal follow, and what was given then stays given.
                ($this->follow)($student);
                $new->choice === null || ($this->assign)($class, $student, $judged->advice, $new->choice, $new->id);

                return $judged;
            }
            $this->standings->store($class->studio_id, $student->id, array_map(fn (PastSample $p) => $p->evidence, $judged->past));
            if ($old === null || $new->choice !== null) {
                ($this->assign)($class, $student, $judged->advice, $new->choice, $new->id);
            } else {
                // What was given with it, and what was said since, stays said; a proposal follows the correction.
                $this->assign->renew($class, $student, $judged->advice);
            }

            return $judged;
        });
        Counts::add('open_seam_kept', ['what' => $new->replaces === null ? 'sample' : 'correction']);
        Counts::add('open_seam_judgements', ['verdict' => $judged->grade->verdict()->value ?? 'none']);

        return $judged;
    }

    private function store(User $user, SewingClass $class, Student $student, JudgedSample $judged, NewSample $new, ?Sample $old, WhenSewn $when): void
    {
        $late = $when->said && $old === null;
        Sample::query()->create([
            'id' => $new->id, 'studio_id' => $class->studio_id, 'class_id' => $old === null ? $class->id : $old->class_id, 'student_id' => $student->id,
            // A correction is of what was sewn then: same session, lesson, version and drill.
            'plan_session_id' => $old === null ? $when->session : $old->plan_session_id,
            'lesson' => $judged->lesson->id, 'lesson_version' => $judged->lesson->version, 'drill' => $old === null ? $new->drill : $old->drill,
            'way' => $judged->lesson->way->isUsual() ? null : $judged->lesson->way->facts(), 'turn' => $late ? Sample::turnAt($student->id, $judged->at) : Sample::nextTurn($student->id), 'late' => $late,
            // What it was sewn on stays what it was, whatever the machine is called since.
            'on_own' => $old !== null && ($old->settings['machine'] ?? null) === ($new->settings['machine'] ?? null) ? $old->on_own : SewnWith::onOwn($student, $new->settings),
            'settings' => $new->settings, 'overruled' => $new->overruled === [] ? null : array_map(fn (Overruling $o): array => $o->kept(), $new->overruled), 'replaces_id' => $new->replaces, 'kept_by' => $user->id, 'kept_at' => $judged->at,
        ]);
        // Whoever asked that somebody looks has been looked at; what is caught up answers nothing.
        $late || Enrolment::query()->where('class_id', $class->id)->where('student_id', $student->id)->whereNotNull('asked_at')->update(['asks' => '', 'asked_at' => null]);
        $readings = [];
        foreach ($judged->readings->values as $reading => $values) {
            foreach ($values as $position => $value) {
                if ($value !== null) {
                    $readings[] = ['id' => strtolower((string) Str::ulid()), 'studio_id' => $class->studio_id, 'sample_id' => $new->id, 'reading' => $reading, 'position' => $position, 'value' => $value, 'limit_mm' => $judged->readings->limits[$reading] ?? null];
                }
            }
        }
        SampleReading::query()->insert($readings);
        SampleFault::query()->insert(array_map(fn ($fault): array => [
            'id' => strtolower((string) Str::ulid()), 'studio_id' => $class->studio_id, 'sample_id' => $new->id, 'fault' => $fault->id,
        ], $judged->grade->faults));
    }

    /** Two devices may have looked at the same piece: who keeps the second is asked, and nothing is written over. */
    private static function checkMeanwhile(NewSample $new, JudgedSample $judged): void
    {
        $others = count(array_filter($judged->past, fn (PastSample $p): bool => $p->lesson === $new->lesson && $p->evidence->sample !== $new->id));
        if ($new->replaces === null && $new->known !== null && $others > $new->known) {
            throw Conflict::sampleMeanwhile($judged->lesson->title, $new->known);
        }
    }

    private function isSame(Sample $kept, Student $student, JudgedSample $judged, NewSample $new): bool
    {
        $stored = [];
        foreach ($kept->readings()->get() as $reading) {
            $stored[$reading->reading.'#'.$reading->position] = round($reading->value, 4);
        }
        $sent = [];
        foreach ($judged->readings->values as $reading => $values) {
            foreach ($values as $position => $value) {
                if ($value !== null) {
                    $sent[$reading.'#'.$position] = round($value, 4);
                }
            }
        }
        ksort($stored);
        ksort($sent);

        return $kept->student_id === $student->id && $kept->lesson === $new->lesson && $stored == $sent;
    }

    private function corrected(User $user, NewSample $new, Student $student): ?Sample
    {
        if ($new->replaces === null) {
            return null;
        }
        $old = Sample::inOrder([$student->id])->find($new->replaces)
            ?? throw InputError::at('replaces', $new->replaces, 'This must be a kept sample of the same student.');
        $old->lesson === $new->lesson || throw InputError::at('replaces', $new->replaces, 'A correction is for the same lesson as the sample it corrects.');
        if (Sample::query()->where('replaces_id', $old->id)->exists()) {
            throw Conflict::alreadyCorrected($old->id);
        }
        $old->withdrawn && throw Conflict::withdrawn($old->id);
        $user->can('change', $old) || throw InputError::at('replaces', $new->replaces, 'A helper puts right what they kept themselves; ask the teacher.');

        return $old;
    }
}
