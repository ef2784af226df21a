<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Console\LoadDemo;
use App\Models\SewingClass;
use App\Models\User;
use App\Records\Shelf;
use App\Records\StudentRecords;
use App\Support\Clock;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\NextLesson\Finding;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Words;
use Tests\TestCase;

/** Every decision that the application makes for the demo studio comes out the same on the command line. */
final class SameDecisionTest extends TestCase
{
    public function test_the_command_line_repeats_every_decision_of_the_demo(): void
    {
        Clock::fix(null);
        $studio = app(LoadDemo::class)();
        $user = User::query()->where('studio_id', $studio->id)->firstOrFail();
        $this->actingAs($user);
        $decided = 0;
        foreach (SewingClass::query()->where('studio_id', $studio->id)->orderBy('name')->get() as $class) {
            foreach ($class->enrolments()->orderBy('seat')->get() as $enrolment) {
                $address = "/api/classes/{$class->id}/students/{$enrolment->student_id}";
                $next = $this->getJson("$address/next")->assertOk();
                $student = $this->getJson($address)->assertOk();
                $in = json_encode($this->input($class, (string) $enrolment->student_id, array_column((array) $student->json('wishes'), 'id'), $student->json('own_machine') === true), JSON_THROW_ON_ERROR);
                $out = Registry::standard()->run('next-lesson', $in);
                foreach (['kind', 'lesson', 'drill', 'change.text'] as $of) {
                    self::assertSame($next->json($of), data_get($out, $of), "$of for {$enrolment->student_id} of $class->name");
                }
                $decided++;
            }
        }
        self::assertSame(18, $decided);
    }

    /**
     * @param  list<mixed>  $wishes
     * @return array<string, mixed>
     */
    private function input(SewingClass $class, string $student, array $wishes, bool $ownMachine): array
    {
        $shelf = app(Shelf::class);
        $weights = fn (Evidence $e, string $skill): array => ['skill' => $skill, 'weights' => $e->weights[$skill] ?? [Evidence::UNDECIDED], 'extras' => $e->extras[$skill] ?? []];
        $samples = [];
        foreach (app(StudentRecords::class)->of([$student], Words::in())[$student] as $kept) {
            $e = $kept->past()->evidence;
            $samples[] = [
                'id' => $e->sample, 'lesson' => $kept->past()->lesson, 'at' => $e->at->format('Y-m-d\TH:i:s.vP'), 'uses' => $e->uses,
                'evidence' => array_map(fn (string $skill): array => $weights($e, $skill), $e->skills()),
                'findings' => array_map(fn (Finding $f): array => array_filter([
                    'check' => $f->check, 'title' => $f->title, 'text' => $f->text, 'verdict' => $f->verdict->value, 'skills' => $f->skills, 'fix' => $f->fix,
                    'change' => $f->change === null ? null : ['kind' => $f->change->kind, 'text' => $f->change->text], 'fault' => $f->fault,
                ], fn (mixed $v): bool => $v !== null), $kept->past()->findings),
            ];
        }

        return [
            'skills' => array_values(array_map(fn (Skill $s): array => ['id' => $s->id, 'title' => $s->title, 'needs' => $s->needs, 'safety' => $s->safety, 'kind' => $s->kind], $shelf->bundle()->skills->all())),
            'lessons' => array_values(array_map(fn (Option $o): array => [
                'id' => $o->id, 'title' => $o->title, 'teaches' => $o->teaches, 'minutes' => $o->minutes, 'again_minutes' => $o->againMinutes, 'machine' => $o->machine,
                'drills' => array_map(fn (Drill $d): array => ['id' => $d->id, 'title' => $d->title, 'skill' => $d->skill, 'minutes' => $d->minutes, 'text' => $d->text], $o->drills),
            ], $shelf->options($class))),
            'course_order' => $shelf->order($class->course), 'policy' => $class->policy->value, 'school' => $class->school->value,
            'samples' => $samples, 'wishes' => $wishes, 'own_machine' => $ownMachine, 'now' => Clock::now()->format('Y-m-d\TH:i:s.vP'),
        ];
    }
}
