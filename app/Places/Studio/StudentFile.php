<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\ButtonholeJob;
use App\Models\ButtonholeTest;
use App\Models\Enrolment;
use App\Models\LessonAssignment;
use App\Models\OwnLook;
use App\Models\Sample;
use App\Models\SampleNote;
use App\Models\SamplePhoto;
use App\Models\Student;
use App\Printing\Format;
use App\Printing\Sheet;
use App\Records\KeptSample;
use App\Records\StudentRecords;
use App\Support\Photos\PhotoAway;
use App\Support\Photos\PhotoPlaces;
use App\Views\StudentViews;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Words;

/** Everything that is kept of one student, for them to take: as data, and to read. */
final readonly class StudentFile
{
    public function __construct(private StudentRecords $records, private StudentViews $views, private PhotoPlaces $places) {}

    public function json(Student $student): string
    {
        return json_encode($this->all($student, true), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    public function pdf(Student $student): string
    {
        $all = $this->all($student, false);
        $what = __('studio.file.title', ['name' => $student->name]);
        $lines = [[$what, 18.0, true], [__('studio.file.wishes', ['lessons' => implode(', ', $all['wishes']) ?: '–', 'machine' => __($all['own_machine'] ? 'studio.file.machine' : 'studio.file.no-machine')]), 10.0, false]];
        foreach ($all['classes'] as $class) {
            $lines[] = [__('studio.file.class', ['class' => $class['name'], 'seat' => $class['seat'], 'note' => $class['note'] === '' ? '–' : $class['note']]), 10.0, false];
        }
        foreach ($all['samples'] as $sample) {
            $lines[] = [$sample['kept_at'].'  '.$sample['title'].($sample['counts'] ? '' : ' ('.__('studio.file.struck').')'), 11.0, true];
            $readings = array_map(fn (string $reading, array $values): string => $reading.' '.implode(' / ', array_map(fn (?float $v): string => $v === null ? '–' : rtrim(rtrim(number_format($v, 2, '.', ''), '0'), '.'), $values)), array_keys($sample['readings']), array_values($sample['readings']));
            $lines[] = [$sample['said'].'. '.implode('; ', $readings), 9.0, false];
            foreach ($sample['notes'] as $note) {
                $lines[] = [$note['at'].': '.$note['kind'].' '.$note['text'], 9.0, false];
            }
        }
        $sheet = (new Sheet(Format::A4, $student->name))->page('');
        $sheet->flow(Sheet::MARGIN_MM, $lines, '');
        foreach ($this->photos($student) as [$photo, $jpeg]) {
            $sheet->page($photo->kept_at->format('Y-m-d'))->picture($jpeg, $photo->width, $photo->height);
        }

        return $sheet->bytes();
    }

    /** @return array{kind: string, name: string, wishes: list<string>, own_machine: bool, home: array<string, mixed>|null, hand: string, classes: list<array{name: string, seat: int, note: string, asks: string, left: string|null}>, samples: list<array{id: string, kept_at: string, title: string, said: string, counts: bool, readings: array<string, list<float|null>>, faults: list<string>, settings: array<string, string|null>, way: array<string, mixed>|null, overruled: mixed, verdicts: array<string, string>, notes: list<array{kind: string, text: string, at: string}>}>, given: list<array<string, mixed>>, buttonholes: list<array<string, mixed>>, own_looks: list<array<string, mixed>>, photos: list<array<string, mixed>>} */
    private function all(Student $student, bool $pictures): array
    {
        $words = Words::in();
        $history = $this->records->history($student->id, $words);
        $replaced = array_filter(array_map(fn (KeptSample $k): ?string => $k->sample->replaces_id, $history));
        $notes = SampleNote::query()->whereIn('sample_id', array_map(fn (KeptSample $k): string => $k->sample->id, $history))->orderBy('turn')->get()->groupBy('sample_id');

        return [
            'kind' => 'open-seam-student', 'name' => $student->name, 'wishes' => $student->wishes, 'own_machine' => $student->own_machine, 'home' => $student->home, 'hand' => $student->hand,
            'classes' => array_values(Enrolment::query()->withTrashed()->with('sewingClass')->where('student_id', $student->id)->orderBy('id')->get()->map(fn (Enrolment $e): array => ['name' => (string) $e->sewingClass?->name, 'seat' => $e->seat, 'note' => $e->note, 'asks' => $e->asks, 'left' => $e->deleted_at?->toIso8601ZuluString()])->all()),
            'samples' => array_map(fn (KeptSample $k): array => [
                'id' => $k->sample->id, 'kept_at' => $k->at->format('Y-m-d H:i'), 'title' => $this->views->last($k, $words)->title, 'said' => $this->views->last($k, $words)->text,
                'counts' => ! $k->sample->withdrawn && ! in_array($k->sample->id, $replaced, true), 'readings' => $k->readings()->values, 'faults' => array_map(fn ($f): string => $f->seen, $k->grade()->faults), 'settings' => $k->sample->settings, 'way' => $k->sample->way, 'overruled' => $k->sample->overruled,
                'verdicts' => array_map(fn (Verdict $v): string => $v->value, $k->grade()->verdicts()),
                'notes' => array_map(fn (SampleNote $n): array => ['kind' => $n->kind, 'text' => $n->text, 'at' => $n->made_at->toIso8601ZuluString()], array_values(($notes[$k->sample->id] ?? collect())->all())),
            ], $history),
            'given' => array_values(LessonAssignment::query()->where('student_id', $student->id)->orderBy('turn')->get()->map(fn (LessonAssignment $g): array => ['at' => $g->assigned_at->toIso8601ZuluString(), 'lesson' => $g->lesson, 'drill' => $g->drill, 'instead_of' => $g->overruled ? $g->proposed_lesson : null, 'because' => $g->overruled_because])->all()),
            'buttonholes' => array_values(ButtonholeJob::query()->with('tests')->where('student_id', $student->id)->orderBy('begun_at')->get()->map(fn (ButtonholeJob $j): array => ['begun_at' => $j->begun_at->toIso8601ZuluString(), 'job' => $j->job, 'released_at' => $j->released_at?->toIso8601ZuluString(), 'tests' => array_values($j->tests->map(fn (ButtonholeTest $t): array => ['sewn_at' => $t->sewn_at->toIso8601ZuluString(), 'planned' => $t->planned, 'set_mm' => $t->set_mm, 'read' => $t->read])->all())])->all()),
            'own_looks' => array_values(OwnLook::ofStudents([$student->id])->map(fn (OwnLook $l): array => ['at' => $l->looked_at->toIso8601ZuluString(), 'place' => $l->place, 'lesson' => $l->lesson, 'readings' => $l->readings, 'verdicts' => $l->verdicts])->all()),
            'photos' => ! $pictures ? [] : array_map(fn (array $p): array => ['sample' => $p[0]->sample_id, 'row' => $p[0]->row, 'kept_at' => $p[0]->kept_at->toIso8601ZuluString(), 'jpeg_base64' => base64_encode($p[1])], $this->photos($student)),
        ];
    }

    /** @return list<array{SamplePhoto, string}> with their pictures; without those that are lost */
    private function photos(Student $student): array
    {
        $found = [];
        foreach (SamplePhoto::query()->whereIn('sample_id', Sample::query()->where('student_id', $student->id)->select('id'))->orderBy('kept_at')->get() as $photo) {
            try {
                $found[] = [$photo, $this->places->of($photo)];
            } catch (PhotoAway $e) {
                $e->forEver || throw $e;
            }
        }

        return $found;
    }
}
