<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\Enrolment;
use App\Models\Sample;
use App\Models\SampleNote;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\User;
use App\Records\KeptSample;
use App\Records\Shelf;
use App\Records\StudentRecords;
use App\Views\CheckView;
use App\Views\JudgedView;
use App\Views\LessonView;
use App\Views\StudentViews;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Curriculum\Lessons;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\Words;

/** One kept sample with its corrections and everything that was said of it. */
final readonly class ShowSample
{
    public function __construct(private StudentRecords $records, private StudentViews $views, private Shelf $shelf) {}

    public function __invoke(Sample $sample, User $reader): SampleView
    {
        $words = Words::in($reader->unit);

        return $this->views([$this->chain($this->records->history($sample->student_id, $words), $sample->id)], $sample->student_id, $reader, $words)[0];
    }

    /** @return list<SampleView> the newest samples of one student, whatever was said of them */
    public function newest(string $student, User $reader, int $most): array
    {
        $words = Words::in($reader->unit);
        $history = $this->records->history($student, $words);
        $replaced = array_column(array_map(fn (KeptSample $k): array => [$k->sample->replaces_id ?? '', true], $history), 1, 0);
        $standing = array_slice(array_filter($history, fn (KeptSample $k): bool => ! isset($replaced[$k->sample->id])), -$most);

        return $this->views(array_map(fn (KeptSample $k): array => $this->chain($history, $k->sample->id), array_reverse($standing)), $student, $reader, $words);
    }

    /**
     * @param  list<non-empty-list<KeptSample>>  $chains  of one student, each newest first
     * @return list<SampleView>
     */
    private function views(array $chains, string $student, User $reader, Words $words): array
    {
        $ids = array_map(fn (KeptSample $k): string => $k->sample->id, array_merge([], ...$chains));
        $notes = ! $reader->role->teaches() ? collect() : SampleNote::query()->with('maker')->whereIn('sample_id', $ids)->orderByDesc('made_at')->orderByDesc('turn')->get();
        $names = User::query()->where('studio_id', $reader->studio_id)->pluck('name', 'id')->all();
        $classes = array_map(strval(...), Enrolment::query()->where('student_id', $student)->pluck('class_id')->all());
        $name = Student::query()->findOrFail($student)->name;
        // Each as it is taught in the class where it is put right.
        $taught = SewingClass::query()->whereKey($classes)->get()->mapWithKeys(fn (SewingClass $c): array => [$c->id => $this->shelf->taught($c)->lessons])->all();

        return array_map(function (array $chain) use ($notes, $names, $classes, $taught, $name, $student, $reader, $words): SampleView {
            $newest = $chain[0];
            $sample = $newest->sample;
            $first = $chain[count($chain) - 1]->sample;
            // The class it was sewn in, or one the student is in now.
            $class = in_array($first->class_id, $classes, true) ? (string) $first->class_id : ($classes[0] ?? '');

            return new SampleView(
                $sample->id, $class, $student, $name,
                $this->views->last($newest, $words)->title, $sample->withdrawn, $reader->can('change', $sample),
                $sample->lesson, $this->sheet($newest->lesson(), $taught[$class] ?? null), ReplacedView::of($newest, $newest->lesson(), $reader->unit),
                array_map(fn (KeptSample $k): SampleVersionView => new SampleVersionView(
                    $k->sample->id, $k->sample->kept_at->toIso8601ZuluString(), is_string($names[$k->sample->kept_by ?? ''] ?? null) ? $names[$k->sample->kept_by ?? ''] : null, $this->views->last($k, $words),
                    array_values(array_map(fn (GradedCheck $c): CheckView => JudgedView::check($c), array_filter($k->grade()->checks, fn (GradedCheck $c): bool => $c->result !== null))),
                    array_map(fn (Fault $f): string => $f->seen, $k->grade()->faults), $k !== $newest || $sample->withdrawn,
                ), $chain),
                array_values($notes->filter(fn (SampleNote $n): bool => in_array($n->sample_id, array_map(fn (KeptSample $k): string => $k->sample->id, $chain), true))
                    ->map(fn (SampleNote $n): SampleNoteView => new SampleNoteView($n->kind, $n->text, $n->maker?->name, $n->made_at->toIso8601ZuluString()))->all()),
            );
        }, $chains);
    }

    /** @param  Lessons|null  $taught  as the class is taught them now */
    private function sheet(Lesson $sewn, ?Lessons $taught): ?LessonView
    {
        $now = $taught[$sewn->id] ?? null;

        return $now !== null && $now->version === $sewn->version && $now->way->key() === $sewn->way->key() ? null : LessonView::of($sewn, $this->shelf->bundle());
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
