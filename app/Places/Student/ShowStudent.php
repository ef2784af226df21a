<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Models\LessonAssignment;
use App\Models\PlanSession;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Records\Adviser;
use App\Records\ClassAsRead;
use App\Records\ClassRoom;
use App\Records\ForecastClass;
use App\Records\KeptSample;
use App\Records\OwnLooks;
use App\Records\ReadClass;
use App\Records\SettingsLog;
use App\Records\Shelf;
use App\Records\StudentAsRead;
use App\Records\StudentRecords;
use App\Views\AdviceView;
use App\Views\AgreementView;
use App\Views\DrillView;
use App\Views\GivenView;
use App\Views\LastSampleView;
use App\Views\NamedView;
use App\Views\SeamStitchView;
use App\Views\StudentView;
use App\Views\StudentViews;
use App\Views\Titles;
use App\Views\WayInView;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Course\WayIn;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Words;

/** Everything about one student: samples over time, what is next and why, what it rests on. */
final readonly class ShowStudent
{
    private const MOST_GIVEN = 20;

    public function __construct(private ReadClass $read, private Shelf $shelf, private StudentViews $views, private Adviser $adviser, private ForecastClass $forecast, private SettingsLog $settings, private StudentRecords $records, private OwnLooks $own) {}

    public function __invoke(SewingClass $class, string $student, Unit $unit): StudentView
    {
        $reading = ($this->read)($class, $unit, $student, planned: true);
        $s = $reading->students[$student] ?? throw new ModelNotFoundException;
        $room = ClassRoom::of($class);
        $forecast = $this->forecast->of($reading, $room);
        $bundle = $this->shelf->bundle();
        [$looks, $agreed] = $this->own->of($s);

        return new StudentView(
            $student, $s->enrolment->student->name, $s->enrolment->seat, $s->enrolment->machine?->name, $s->enrolment->note, $s->enrolment->student->own_machine, $s->enrolment->student->atHome()?->machine->name, $s->enrolment->student->hand,
            array_values(array_map(fn (string $l): NamedView => new NamedView($l, $bundle->lessons->title($l) ?? $l), $s->enrolment->student->wishes)),
            $this->views->inHand($s, $reading->words), $this->views->then($reading, $s), $s->assigned->id ?? '',
            AdviceView::of($s->advice, $bundle, $room->room),
            $this->views->skills($class, $s), $this->seam($reading, $s), $this->struck($student, $reading->words), $this->blocked($class, $reading, $s),
            DrillView::orNull($s->advice->homework),
            $forecast->students[0], $forecast->lessons, $this->settings->of(array_reverse($s->samples)),
            array_map(fn (LessonAssignment $g): GivenView => new GivenView(
                $g->assigned_at->toIso8601ZuluString(), Titles::of($bundle, $g->lesson, $g->drill), $g->overruled ? Titles::of($bundle, $g->proposed_lesson, $g->proposed_drill) : null, $g->overruled_because, $g->by_bench,
            ), array_slice(array_reverse($s->given), 0, self::MOST_GIVEN)),
            $s->enrolment->page_hash === null || $s->enrolment->page_until === null || $s->enrolment->page_until < $reading->now ? null : $s->enrolment->page_until->toIso8601ZuluString(),
            $this->wayIn($reading, $s), $looks, AgreementView::from($agreed),
        );
    }

    private function wayIn(ClassAsRead $reading, StudentAsRead $s): ?WayInView
    {
        $joined = $s->enrolment->joined_at;
        $done = array_map(fn (KeptSample $k): string => $k->sample->lesson, array_filter($s->samples, fn (KeptSample $k): bool => $k->verdict() === Verdict::Met));
        $way = $joined === null ? null : WayIn::of(array_map(fn (PlanSession $p): array => ['ends' => $p->endsAt(), 'lessons' => $p->lessonIds()], $reading->sessions), $joined, array_values($done));

        return $way === null ? null : new WayInView($way->from, array_map(fn (string $l): NamedView => new NamedView($l, Titles::of($this->shelf->bundle(), $l)), $way->lessons));
    }

    /** @return list<SeamStitchView> */
    private function seam(ClassAsRead $reading, StudentAsRead $s): array
    {
        $number = [];
        foreach ($reading->sessions as $session) {
            $number[$session->id] = $session->position + 1;
        }

        $classes = SewingClass::query()->whereKey(array_values(array_unique(array_filter(array_map(fn (KeptSample $k): ?string => $k->sample->class_id, $s->samples), fn (?string $id): bool => $id !== $reading->class->id))))->pluck('name', 'id')->all();

        return array_map(function (KeptSample $k) use ($reading, $number, $classes): SeamStitchView {
            $poorest = array_map(fn (string $skill): float => $k->past()->evidence->showing($skill) ?? 0.0, $k->past()->evidence->skills());

            $elsewhere = $classes[$k->sample->class_id ?? ''] ?? null;

            return new SeamStitchView($number[$k->sample->plan_session_id ?? ''] ?? null, is_string($elsewhere) ? $elsewhere : null, $this->views->last($k, $reading->words), $poorest === [] ? 0.0 : min($poorest));
        }, $s->samples);
    }

    /** @return list<LastSampleView> samples that were withdrawn, newest first; a corrected one is found with the correction */
    private function struck(string $student, Words $words): array
    {
        if (! Sample::inOrder([$student])->get()->contains(fn (Sample $s): bool => $s->withdrawn)) {
            return [];
        }

        return array_map(fn (KeptSample $k): LastSampleView => $this->views->last($k, $words), array_reverse(array_values(array_filter($this->records->history($student, $words), fn (KeptSample $k): bool => $k->sample->withdrawn))));
    }

    /** @return list<NamedView> */
    private function blocked(SewingClass $class, ClassAsRead $reading, StudentAsRead $s): array
    {
        $blocked = $this->adviser->ladder($class, $reading->words)->blocked(array_map(fn (KeptSample $k): PastSample => $k->past(), $s->samples), $reading->now);

        return array_map(fn (string $lesson, string $skill): NamedView => new NamedView(
            $this->shelf->bundle()->lesson($lesson)->title, $this->shelf->bundle()->skills->get($skill)->title,
        ), array_map(strval(...), array_keys($blocked)), array_values($blocked));
    }
}
