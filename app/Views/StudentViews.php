<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\SewingClass;
use App\Records\Adviser;
use App\Records\ClassAsRead;
use App\Records\KeptSample;
use App\Records\Shelf;
use App\Records\StudentAsRead;
use App\Support\NearMemory;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\NextLesson\Reason;
use OpenSeam\Core\Skill\Level;
use OpenSeam\Core\Words;

/** The short lines about a student that several places show. */
final readonly class StudentViews
{
    private const TOLD_SECONDS = 12 * 3600;

    public function __construct(private Shelf $shelf, private Adviser $adviser, private NearMemory $memory) {}

    /** @param  bool  $theirs  for the student to see: without why the teacher, or the room, wanted it so */
    public function inHand(StudentAsRead $s, Words $words, bool $theirs = false): InHandView
    {
        $change = $s->advice->change->text;
        if ($s->isOverruled()) {
            $because = $theirs ? '' : $s->assigned->overruled_because ?? '';
            $change = $because !== '' ? $because : $this->drillText($s->lesson(), $s->drill()) ?? $words->say('change.first-time');
        }

        return new InHandView($s->lesson(), $s->drill(), $s->kind()->value, Titles::of($this->shelf->bundle(), $s->lesson(), $s->drill()), $change, $s->isOverruled());
    }

    /** The same each time for what the sample showed, which its key stands for. */
    public function last(KeptSample $kept, Words $words): LastSampleView
    {
        return $kept->key === null ? $this->tell($kept, $words) : $this->memory->remember("last/$kept->key", self::TOLD_SECONDS, fn (): LastSampleView => $this->tell($kept, $words));
    }

    private function tell(KeptSample $kept, Words $words): LastSampleView
    {
        $grade = $kept->grade();
        $telling = $grade->telling();
        $open = count($grade->open());
        $unseen = array_values(array_filter($grade->open(), $grade->isUnseenHabit(...)));
        $text = match (true) {
            $grade->faults !== [] && $telling?->verdict() !== Verdict::NotYet => $grade->faults[0]->seen,
            $telling?->result === null => '',
            $telling->verdict() !== Verdict::Met => $words->say('last.check', ['check' => $telling->spec->title, 'text' => $telling->result->text]),
            // Met so far is not all met.
            $unseen !== [] => $words->say('last.unseen', ['check' => $unseen[0]->spec->title]),
            default => $words->say($open === 0 ? 'last.all-met' : 'last.met-so-far', ['check' => $telling->spec->title, 'text' => $telling->result->text, 'done' => (string) (count($grade->checks) - $open), 'of' => (string) count($grade->checks)]),
        };

        return new LastSampleView(
            $kept->sample->id, $kept->sample->lesson, Titles::sewn($this->shelf->bundle(), $kept),
            $text, $grade->verdict()?->value, $open, $kept->at->format('Y-m-d\TH:i:s\Z'),
        );
    }

    /**
     * What follows when the lesson in hand is met: the ladder asked again with
     * that lesson shown well once.
     */
    public function then(ClassAsRead $reading, StudentAsRead $s): string
    {
        $lesson = $s->lesson();
        if ($lesson === null) {
            return '';
        }
        $work = function () use ($reading, $s, $lesson): string {
            $past = array_map(fn (KeptSample $k): PastSample => $k->past(), $s->samples);
            $met = PastSample::met($this->shelf->bundle()->lesson($lesson), $reading->now);
            $advice = $this->adviser->advise($reading->class, [...$past, $met], $s->enrolment->student->wishes, $reading->now, $reading->words);

            return Titles::of($this->shelf->bundle(), $advice->lesson, $advice->drill?->id);
        };
        $key = $this->adviser->key('then', $reading->class, $s->samples, $reading->now, [$lesson, $s->enrolment->student->wishes]);

        return $key === null ? $work() : $this->memory->remember($key, Adviser::SECONDS, $work);
    }

    /** @return list<string> */
    public function why(StudentAsRead $s): array
    {
        return array_map(fn (Reason $r): string => $r->text, $s->advice->reasons);
    }

    /** The weakest of the skills that the lesson in hand works on. */
    public function levelOf(StudentAsRead $s): Level
    {
        $skills = $s->lesson() === null ? array_keys($s->levels) : $this->shelf->bundle()->lesson($s->lesson())->teaches;

        return Level::weakest(array_map($s->level(...), array_values($skills)));
    }

    private function drillText(?string $lesson, ?string $drill): ?string
    {
        return $lesson === null ? null : $this->shelf->bundle()->lesson($lesson)->drill($drill)?->text;
    }

    /** @return list<StudentSkillView> skills of the course, and others that were tried */
    public function skills(SewingClass $class, StudentAsRead $s): array
    {
        $taught = [];
        foreach ($this->shelf->order($class->course) as $lesson) {
            $taught += array_fill_keys($this->shelf->bundle()->lesson($lesson)->teaches, true);
        }
        $views = [];
        foreach ($this->shelf->bundle()->skills->all() as $id => $skill) {
            if (isset($taught[$id]) || isset($s->levels[$id])) {
                $views[] = new StudentSkillView((string) $id, $skill->title, $skill->strand, $s->level((string) $id)->value);
            }
        }

        return $views;
    }
}
