<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\Enrolment;
use App\Models\Sample;
use App\Models\SampleNote;
use App\Models\Student;
use App\Models\User;
use App\Records\KeptSample;
use App\Records\StudentRecords;
use App\Views\CheckView;
use App\Views\JudgedView;
use App\Views\StudentViews;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\Words;

/** One kept sample with its corrections and everything that was said of it. */
final readonly class ShowSample
{
    public function __construct(private StudentRecords $records, private StudentViews $views) {}

    public function __invoke(Sample $sample, User $reader): SampleView
    {
        $words = Words::in($reader->unit);
        $chain = $this->chain($this->records->history($sample->student_id, $words), $sample->id);
        $ids = array_map(fn (KeptSample $k): string => $k->sample->id, $chain);
        $notes = SampleNote::query()->with('maker')->whereIn('sample_id', $ids)->orderByDesc('made_at')->orderByDesc('turn')->get();
        $names = User::query()->where('studio_id', $sample->studio_id)->pluck('name', 'id')->all();
        $newest = $chain[0];

        return new SampleView(
            $newest->sample->id, $this->classOf($sample), $sample->student_id, Student::query()->findOrFail($sample->student_id)->name,
            $this->views->last($newest, $words)->title, $newest->sample->withdrawn, $reader->can('change', $newest->sample),
            array_map(fn (KeptSample $k): SampleVersionView => new SampleVersionView(
                $k->sample->id, $k->sample->kept_at->toIso8601ZuluString(), is_string($names[$k->sample->kept_by ?? ''] ?? null) ? $names[$k->sample->kept_by ?? ''] : null, $this->views->last($k, $words),
                array_values(array_map(fn (GradedCheck $c): CheckView => JudgedView::check($c), array_filter($k->grade->checks, fn (GradedCheck $c): bool => $c->result !== null))),
                array_map(fn (Fault $f): string => $f->seen, $k->grade->faults), $k !== $newest || $k->sample->withdrawn,
            ), $chain),
            ! $reader->role->teaches() ? [] : array_values($notes->map(fn (SampleNote $n): SampleNoteView => new SampleNoteView($n->kind, $n->text, $n->maker?->name, $n->made_at->toIso8601ZuluString()))->all()),
        );
    }

    /** The class it was sewn in, or one the student is in now. */
    private function classOf(Sample $sample): string
    {
        $classes = array_map(strval(...), Enrolment::query()->where('student_id', $sample->student_id)->pluck('class_id')->all());

        return in_array($sample->class_id, $classes, true) ? (string) $sample->class_id : ($classes[0] ?? '');
    }

    /**
     * The sample with what it corrected and what corrected it.
     *
     * @param  list<KeptSample>  $history
     * @return non-empty-list<KeptSample> newest first
     */
    private function chain(array $history, string $id): array
    {
        $by = array_column(array_map(fn (KeptSample $k): array => [$k->sample->id, $k], $history), 1, 0);
        $after = array_column(array_map(fn (KeptSample $k): array => [$k->sample->replaces_id ?? '', $k], $history), 1, 0);
        $at = $by[$id] ?? throw new ModelNotFoundException;
        while (isset($after[$at->sample->id])) {
            $at = $after[$at->sample->id];
        }
        $chain = [$at];
        while (isset($by[$at->sample->replaces_id ?? ''])) {
            $at = $by[(string) $at->sample->replaces_id];
            $chain[] = $at;
        }

        return $chain;
    }
}
