<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Student;
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
}
