<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanSession;
use App\Models\Student;
use App\Support\Clock;
use Tests\TestCase;

/** A list of names on its way into a class. */
final class NamesTest extends TestCase
{
    public function test_what_was_understood_is_shown_before_anybody_is_added(): void
    {
        $class = $this->sewingClass($this->teacher());
        $read = fn (string $text) => $this->postJson("/api/classes/{$class->id}/students/read", ['text' => $text])->assertOk();
        $read("Name;Hand;Machine at home;Age\nWeaver, Ona;left;yes;40\npim;;;")->assertJsonPath('table', true)->assertJsonPath('unread', ['Age'])
            ->assertJsonPath('people.0', ['line' => 2, 'name' => 'Ona Weaver', 'hand' => 'left', 'own_machine' => true, 'problem' => null])
            ->assertJsonPath('people.1.problem', '“pim” is in this class already, at seat 2: add something that tells them apart.');
        $read('')->assertJsonPath('people', []);
        self::assertSame(3, Student::query()->where('studio_id', $class->studio_id)->count());
        $this->postJson("/api/classes/{$class->id}/students", ['students' => ['Ona Weaver', 'Sol'], 'hands' => ['Ona Weaver' => 'left'], 'own_machines' => ['Ona Weaver']])->assertNoContent();
        $student = Student::query()->where('name', 'Ona Weaver')->firstOrFail();
        self::assertSame(['left', true], [$student->hand, $student->own_machine]);
        self::assertSame(['', false], [Student::query()->where('name', 'Sol')->firstOrFail()->hand, Student::query()->where('name', 'Sol')->firstOrFail()->own_machine]);
        // On the student's page it is put right, and what is left out stays.
        $page = "/api/classes/{$class->id}/students/{$student->id}";
        $about = ['note' => '', 'wishes' => [], 'own_machine' => false];
        $this->putJson($page, $about)->assertNoContent();
        $this->getJson($page)->assertOk()->assertJsonPath('hand', 'left')->assertJsonPath('own_machine', false);
        $this->putJson($page, ['hand' => null] + $about)->assertNoContent();
        $this->getJson($page)->assertOk()->assertJsonPath('hand', '');
        $this->assertProblem($this->putJson($page, ['hand' => 'both'] + $about), 422, 'hand', 'left');
        $this->assertProblem($this->postJson("/api/classes/{$class->id}/students", ['students' => ['Tib'], 'hands' => ['Tib' => 'third']]), 422, 'hands.Tib', 'left');
        self::assertSame(0, Student::query()->where('name', 'Tib')->count());
    }

    public function test_another_studio_reads_no_names_of_it(): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->actingAs($this->teacher('Another room'))->postJson("/api/classes/{$class->id}/students/read", ['text' => 'Ona'])->assertNotFound();
    }

    public function test_who_joins_midway_has_a_way_in_of_their_own_and_the_plan_stays(): void
    {
        $class = $this->sewingClass($this->teacher());
        $sessions = PlanSession::ofClass($class->id, true)->get();
        $plan = (array) $this->getJson("/api/classes/{$class->id}/plan")->json('sessions');
        Clock::fix($sessions[0]->endsAt()->addDay());
        $this->postJson("/api/classes/{$class->id}/students", ['students' => ['Wilhelmina']])->assertNoContent();
        $new = (string) Student::query()->where('name', 'Wilhelmina')->value('id');
        $way = $this->getJson("/api/classes/{$class->id}/students/$new")->assertOk()->assertJsonPath('way_in.from', 2);
        self::assertSame($sessions[0]->lessonIds(), array_column((array) $way->json('way_in.lessons'), 'id'));
        self::assertSame(array_column($plan, 'lessons'), array_column((array) $this->getJson("/api/classes/{$class->id}/plan")->json('sessions'), 'lessons'));
        $this->getJson("/api/classes/{$class->id}/students/{$this->student($class)}")->assertJsonPath('way_in', null);
    }

    public function test_a_second_course_for_the_same_people_begins_with_what_they_know(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $this->postJson('/api/samples', $this->seam($class, $student))->assertCreated();
        $body = ['name' => 'The next one', 'students' => [], 'returning' => [$student], 'starts_on' => '2030-09-03', 'time' => '18:30', 'sessions' => 4, 'minutes' => 120, 'helpers' => 0, 'machines' => 4, 'from' => $class->id];
        $next = (string) $this->postJson('/api/classes', $body)->assertCreated()->json('id');
        $this->getJson("/api/classes/$next/students/$student")->assertOk()->assertJsonPath('seam.0.sample.lesson', 'first-seam')->assertJsonPath('seam.0.elsewhere', $class->name)->assertJsonPath('way_in', null);
        $this->assertProblem($this->postJson('/api/classes', ['students' => [], 'returning' => []] + $body), 422, 'students', '');
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/classes/$next/print?what=certificates")->assertOk()->getContent());
    }
}
