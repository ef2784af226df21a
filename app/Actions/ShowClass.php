<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\CheckView;
use App\Http\Resources\ClassView;
use App\Http\Resources\JudgedView;
use App\Http\Resources\KeptSettingView;
use App\Http\Resources\NamedView;
use App\Http\Resources\PhotoView;
use App\Http\Resources\ShowingView;
use App\Http\Resources\SkillEvidenceView;
use App\Http\Resources\SkillView;
use App\Http\Resources\StandingRowView;
use App\Http\Resources\Titles;
use App\Models\SamplePhoto;
use App\Models\SewingClass;
use App\Support\KeptSample;
use App\Support\Shelf;
use App\Support\Standings;
use App\Support\StudentReading;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\GradedCheck;
use OpenSeam\Core\Skill\Level;
use OpenSeam\Core\Skill\Skill;

/** Students and skills, and what lies behind one of the levels. */
final readonly class ShowClass
{
    public function __construct(private ReadClass $read, private Shelf $shelf, private Standings $standings) {}

    public function __invoke(SewingClass $class, Unit $unit): ClassView
    {
        $reading = ($this->read)($class, $unit);
        $skills = array_values(array_map($this->skill($class), $this->shelf->bundle()->skills->all()));

        $checks = array_merge([], ...array_map(fn (StudentReading $s): array => array_merge([], ...array_map(fn (KeptSample $k): array => $k->grade->checks, $s->samples)), array_values($reading->students)));

        return new ClassView(
            new NamedView($class->id, $class->name), $class->policy->value, $class->school->value, $skills,
            array_values(array_map(fn (StudentReading $s): StandingRowView => new StandingRowView(
                $s->enrolment->student_id, $s->enrolment->student->name, $s->enrolment->seat,
                array_map(fn (SkillView $skill): string => $s->level($skill->id)->value, $skills),
                Titles::of($this->shelf->bundle(), $s->lesson(), $s->drill()),
                count(array_filter($s->levels, fn (Level $l): bool => $l === Level::Sure)),
            ), $reading->students)),
            count(array_filter($checks, fn (GradedCheck $c): bool => $c->result !== null)), count(array_filter($checks, fn (GradedCheck $c): bool => $c->result !== null && $c->overruled !== null)),
        );
    }

    /** @throws InputError for a skill that is not known */
    public function evidence(SewingClass $class, string $student, string $skillId, Unit $unit): SkillEvidenceView
    {
        $graph = $this->shelf->bundle()->skills;
        $graph->has($skillId) || throw InputError::at('skill', $skillId, 'There is no such skill.');
        $reading = ($this->read)($class, $unit, $student);
        $s = $reading->students[$student] ?? throw new ModelNotFoundException;
        $counted = array_values(array_filter($s->samples, fn (KeptSample $k): bool => ($k->grade->evidence[$skillId] ?? []) !== []));
        $photos = SamplePhoto::listed()->whereIn('sample_id', array_map(fn (KeptSample $k): string => $k->sample->id, $counted))->get()->groupBy('sample_id');
        $showings = [];
        $evidence = [];
        $known = 0.0;
        foreach ($counted as $kept) {
            $evidence[] = $kept->past->evidence;
            $known = $this->standings->book()->standings($evidence, $kept->past->evidence->at)[$skillId]->known;
            $showings[] = $this->showing($kept, $skillId, $known, array_values(($photos[$kept->sample->id] ?? collect())->map(PhotoView::of(...))->all()));
        }

        return new SkillEvidenceView(
            ($this->skill($class))($graph->get($skillId)), $s->enrolment->student->name, $s->level($skillId)->value, $known,
            array_map(fn (string $id): NamedView => new NamedView($id, $graph->get($id)->title), $graph->get($skillId)->needs),
            array_reverse($showings),
        );
    }

    /** @param  list<PhotoView>  $photos */
    private function showing(KeptSample $kept, string $skill, float $known, array $photos): ShowingView
    {
        $settings = array_filter($kept->sample->settings, fn (?string $v): bool => $v !== null && $v !== '');

        return new ShowingView(
            $kept->sample->id, $kept->sample->kept_at->toIso8601ZuluString(),
            Titles::of($this->shelf->bundle(), $kept->sample->lesson, $kept->sample->drill), $known,
            array_map(fn (GradedCheck $c): CheckView => JudgedView::check($c), $kept->grade->showing($skill)),
            array_values(array_map(fn (Fault $f): string => $f->seen, array_filter($kept->grade->faults, fn (Fault $f): bool => in_array($skill, $f->denies, true)))),
            array_map(fn (string $name, string $value): KeptSettingView => new KeptSettingView($name, $value), array_keys($settings), array_values($settings)),
            $photos,
        );
    }

    /** @return callable(Skill): SkillView */
    private function skill(SewingClass $class): callable
    {
        $taught = [];
        foreach ($this->shelf->order($class->course) as $lesson) {
            $taught += array_fill_keys($this->shelf->bundle()->lesson($lesson)->teaches, true);
        }

        return fn (Skill $s): SkillView => new SkillView($s->id, $s->title, $s->strand, $s->shows, isset($taught[$s->id]));
    }
}
