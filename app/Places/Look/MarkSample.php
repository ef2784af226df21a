<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\LessonAssignment;
use App\Models\Sample;
use App\Models\SampleNote;
use App\Models\Student;
use App\Models\User;
use App\Records\FollowSamples;
use App\Support\Clock;
use App\Support\Conflict;
use Illuminate\Support\Facades\DB;

/**
 * Writes on a kept sample: a note, that it does not count, or that it does after all.
 * The sample itself stays as it is; what follows from it is worked out anew.
 */
final readonly class MarkSample
{
    public function __construct(private FollowSamples $follow) {}

    /**
     * @param  string|null  $id  made where it was written: sent again it is one note
     *
     * @throws Conflict where something else was written under it
     */
    public function annotate(User $user, Sample $sample, string $text, ?string $id = null): void
    {
        DB::transaction(function () use ($user, $sample, $text, $id): void {
            Student::lock([$sample->student_id]);
            $kept = $id === null ? null : SampleNote::query()->withoutGlobalScopes()->find($id);
            $kept === null || ($kept->sample_id === $sample->id && $kept->text === $text) || throw Conflict::noteTaken($kept->id);
            $kept === null && $this->write($user, $sample, SampleNote::NOTE, $text, $id);
        });
    }

    /** @throws Conflict where a newer one took its place */
    public function withdraw(User $user, Sample $sample, string $because): void
    {
        $this->turn($user, $sample, true, $because);
    }

    /** @throws Conflict where a newer one took its place */
    public function bringBack(User $user, Sample $sample): void
    {
        $this->turn($user, $sample, false, '');
    }

    private function turn(User $user, Sample $sample, bool $withdrawn, string $because): void
    {
        DB::transaction(function () use ($user, $sample, $withdrawn, $because): void {
            Student::lock([$sample->student_id]);
            $now = Sample::inOrder([$sample->student_id])->findOrFail($sample->id);
            Sample::query()->where('replaces_id', $sample->id)->exists() && throw Conflict::struck($sample->id);
            if ($now->withdrawn === $withdrawn) {
                // Said twice, it is so once.
                return;
            }
            $this->write($user, $sample, $withdrawn ? SampleNote::WITHDRAWN : SampleNote::BROUGHT_BACK, $because);
            LessonAssignment::query()->where('sample_id', $sample->id)->update(['set_aside' => $withdrawn]);
            // Standings and the next lesson as they are without it, or with it again.
            ($this->follow)(Student::query()->findOrFail($sample->student_id));
        });
    }

    private function write(User $user, Sample $sample, string $kind, string $text, ?string $id = null): void
    {
        SampleNote::query()->create(($id === null ? [] : ['id' => $id]) + [
            'studio_id' => $sample->studio_id, 'sample_id' => $sample->id, 'kind' => $kind, 'text' => $text,
            'turn' => 1 + (int) SampleNote::query()->where('sample_id', $sample->id)->max('turn'), 'made_by' => $user->id, 'made_at' => Clock::now(),
        ]);
    }
}
