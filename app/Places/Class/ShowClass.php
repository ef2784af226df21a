<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Models\SamplePhoto;
use App\Models\SewingClass;
use App\Records\KeptSample;
use App\Records\ReadClass;
use App\Records\Shelf;
use App\Records\Standings;
use App\Views\CheckView;
use App\Views\JudgedView;
use App\Views\NamedView;
use App\Views\PhotoView;
use App\Views\Titles;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Skill\ClassGaps;
use OpenSeam\Core\Skill\Level;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Words;

/** Students and skills, and what lies behind one of the levels. */
final readonly class ShowClass
{
    public function __construct(private ReadClass $read, private ReadMatrix $matrix, private Shelf $shelf, private Standings $standings) {}

    public function __invoke(SewingClass $class, Unit $unit): ClassView
    {
        $rows = ($this->matrix)($class, Words::in($unit));
        $bundle = $this->shelf->bundle();
        [$open, $ready] = $this->counts($class, $rows);
        $of = $this->skill($class);
        $skills = array_values(array_map(fn (Skill $s): SkillView => $of($s, $open[$s->id] ?? 0, $ready[$s->id] ?? 0), $bundle->skills->all()));
        $gaps = ClassGaps::of(
            $bundle->skills, $class->school, array_map(fn (MatrixRow $r): array => $r->standings, $rows),
            array_map(fn (MatrixRow $r): array => $r->lesson === null ? [] : $bundle->lesson($r->lesson)->teaches, $rows),
        );
        $name = fn (string $student): string => $rows[$student]->enrolment->student->name;
        $title = fn (string $skill): string => $bundle->skills->get($skill)->title;

        return new ClassView(
            new NamedView($class->id, $class->name), $class->policy->value, $class->school->value, $skills,
            array_values(array_map(fn (MatrixRow $r): StandingRowView => new StandingRowView(
                $r->enrolment->student_id, $r->enrolment->student->name, $r->enrolment->seat,
                array_map(fn (SkillView $skill): string => $r->level($skill->id, $class->school)->value, $skills),
                Titles::of($bundle, $r->lesson, $r->drill),
                count(array_filter($r->standings, fn (Standing $s): bool => $s->level($class->school) === Level::Sure)),
                $this->at($r, $class, $skills, fn (Level $l): bool => $l->isShown()),
                $this->at($r, $class, $skills, fn (Level $l): bool => ! $l->isShown() && $l !== Level::NotTried),
            ), $rows)),
            array_map(fn (array $g): GapView => new GapView($g['skill'], $title($g['skill']), array_map($name, $g['open']), $g['tried'], $g['again']), $gaps->gaps),
            array_map(fn (array $p): PairView => new PairView($name($p['helper']), $name($p['learner']), $title($p['skill'])), $gaps->pairs),
        );
    }

    /**
     * @param  list<SkillView>  $skills
     * @param  callable(Level): bool  $is
     * @return list<string> skills of a student at such a level, by id
     */
    private function at(MatrixRow $row, SewingClass $class, array $skills, callable $is): array
    {
        return array_values(array_filter(array_map(fn (SkillView $s): string => $s->id, $skills), fn (string $id): bool => $is($row->level($id, $class->school))));
    }

    /**
     * @param  array<string, MatrixRow>  $rows
     * @return array{array<string, int>, array<string, int>} students who tried a skill and are not sure, and who are ready for it, by skill
     */
    private function counts(SewingClass $class, array $rows): array
    {
        $open = $ready = [];
        foreach ($rows as $row) {
            foreach ($row->standings as $skill => $standing) {
                $open[$skill] = ($open[$skill] ?? 0) + ($standing->tried() && ! $standing->isSure($class->school) ? 1 : 0);
            }
            foreach ($this->shelf->bundle()->skills->ready(fn (string $skill): bool => ($row->standings[$skill] ?? null)?->isSure($class->school) === true) as $skill) {
                $ready[$skill] = ($ready[$skill] ?? 0) + 1;
            }
        }

        return [$open, $ready];
    }

    /** @throws InputError for a skill that is not known */
    public function evidence(SewingClass $class, string $student, string $skillId, Unit $unit): SkillEvidenceView
    {
        $graph = $this->shelf->bundle()->skills;
        $graph->has($skillId) || throw InputError::at('skill', $skillId, 'There is no such skill.');
        $reading = ($this->read)($class, $unit, $student);
        $s = $reading->students[$student] ?? throw new ModelNotFoundException;
        $counted = array_values(array_filter($s->samples, fn (KeptSample $k): bool => $k->past()->evidence->showing($skillId) !== null));
        $photos = SamplePhoto::listed()->whereIn('sample_id', array_map(fn (KeptSample $k): string => $k->sample->id, $counted))->get()->groupBy('sample_id');
        $showings = [];
        $evidence = [];
        $known = $this->standings->table()->for($skillId)->start;
        // All samples: what was used on the way between two showings has not faded.
        foreach ($s->samples as $kept) {
            $at = $kept->at;
            if (! in_array($kept, $counted, true)) {
                $evidence[] = $kept->past()->evidence;

                continue;
            }
            $before = ($this->standings->book()->standings($evidence, $at)[$skillId] ?? null)->faded ?? $known;
            $evidence[] = $kept->past()->evidence;
            $known = $this->standings->book()->standings($evidence, $at)[$skillId]->known;
            $showings[] = $this->showing($kept, $skillId, $before, $known, array_values(($photos[$kept->sample->id] ?? collect())->map(PhotoView::of(...))->all()));
        }

        return new SkillEvidenceView(
            ($this->skill($class))($graph->get($skillId), 0, 0), $s->enrolment->student->name, $s->level($skillId)->value, $known, ($s->standings[$skillId] ?? null)?->isMixed() === true,
            array_map(fn (string $id): NamedView => new NamedView($id, $graph->get($id)->title), $graph->get($skillId)->needs),
            array_reverse($showings),
        );
    }

    /** @param  list<PhotoView>  $photos */
    private function showing(KeptSample $kept, string $skill, float $before, float $known, array $photos): ShowingView
    {
        $settings = array_filter($kept->sample->settings, fn (?string $v): bool => $v !== null && $v !== '');

        return new ShowingView(
            $kept->sample->id, $kept->sample->kept_at->toIso8601ZuluString(),
            Titles::of($this->shelf->bundle(), $kept->sample->lesson, $kept->sample->drill), $before, $known,
            $kept->past()->evidence->showing($skill) ?? 0.0,
            array_map(fn (GradedCheck $c): CheckView => JudgedView::check($c), $kept->grade()->showing($skill)),
            array_values(array_map(fn (Fault $f): string => $f->seen, array_filter($kept->grade()->faults, fn (Fault $f): bool => in_array($skill, $f->denies, true)))),
            array_map(fn (string $name, string $value): KeptSettingView => new KeptSettingView($name, $value), array_keys($settings), array_values($settings)),
            $photos,
        );
    }

    /** @return callable(Skill, int, int): SkillView */
    private function skill(SewingClass $class): callable
    {
        $taught = [];
        foreach ($this->shelf->order($class->course) as $lesson) {
            $taught += array_fill_keys($this->shelf->bundle()->lesson($lesson)->teaches, true);
        }

        return fn (Skill $s, int $open, int $ready): SkillView => new SkillView($s->id, $s->title, $s->strand, $s->shows, isset($taught[$s->id]), $open, $ready);
    }
}
