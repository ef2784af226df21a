<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class PlanTest extends TestCase
{
    public function test_a_course_is_laid_from_date_sessions_minutes_and_heads(): void
    {
        $class = $this->sewingClass($this->teacher(), array_map(fn (int $i): string => "Student $i", range(1, 10)));
        $plan = $this->getJson("/api/classes/{$class->id}/plan")->assertOk();
        $plan->assertJsonPath('sessions.0.lessons', ['safe-seat', 'wind-and-thread'])->assertJsonPath('sessions.2.lessons', ['first-seam', 'length-ladder'])
            ->assertJsonPath('sessions.0.starts_at', '2030-05-02T18:30:00Z')->assertJsonPath('sessions.5.starts_at', '2030-06-06T18:30:00Z')
            ->assertJsonPath('left', [])->assertJsonPath('problems', [])->assertJsonPath('students', 10);
    }

    /** The same clock time every week in the studio's own zone, also when the clocks change. */
    public function test_sessions_keep_their_clock_time_across_a_clock_change(): void
    {
        $teacher = $this->teacher();
        $teacher->studio->update(['timezone' => 'Europe/Berlin']);
        $id = $this->actingAs($teacher)->postJson('/api/classes', ['name' => 'Autumn', 'students' => ['Ona'], 'starts_on' => '2030-10-24', 'time' => '18:30', 'sessions' => 2, 'minutes' => 120, 'helpers' => 0, 'machines' => 4])->assertCreated()->json('id');
        self::assertIsString($id);
        $this->getJson("/api/classes/$id/plan")->assertJsonPath('sessions.0.starts_at', '2030-10-24T16:30:00Z')->assertJsonPath('sessions.1.starts_at', '2030-10-31T17:30:00Z');
    }

    public function test_a_move_that_breaks_something_is_kept_and_said(): void
    {
        $class = $this->sewingClass($this->teacher());
        $version = $this->version($class);
        $moved = [['first-seam', 'safe-seat', 'wind-and-thread', 'needle-and-foot', 'paper-drive'], [], ['length-ladder'], ['guides'], ['square-spiral'], []];
        $answer = $this->putJson("/api/classes/{$class->id}/plan", ['version' => $version, 'sessions' => $moved])->assertOk()->assertJsonPath('version', $version + 1);
        $said = implode(' ', array_column((array) $answer->json('problems'), 'text'));
        self::assertStringContainsString('First seam stands on Paper drive', $said);
        self::assertStringContainsString('Session 1 runs', $said);
    }

    public function test_a_stale_plan_is_not_written_over(): void
    {
        $class = $this->sewingClass($this->teacher());
        $version = $this->version($class);
        $this->putJson("/api/classes/{$class->id}/plan", ['version' => $version, 'sessions' => [[], [], [], [], [], []]])->assertOk()->assertJsonCount(8, 'left');
        $this->assertProblem($this->putJson("/api/classes/{$class->id}/plan", ['version' => $version, 'sessions' => [['guides'], [], [], [], [], []]]), 409, 'version', 'changed meanwhile');
        $this->getJson("/api/classes/{$class->id}/plan")->assertJsonCount(8, 'left');
    }

    public function test_laying_out_again_restores_an_order_that_holds(): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->putJson("/api/classes/{$class->id}/plan", ['version' => $this->version($class), 'sessions' => [['guides'], [], [], [], [], []]])->assertOk();
        $this->postJson("/api/classes/{$class->id}/plan/lay-out", ['version' => $this->version($class), 'starts_on' => '2030-05-03', 'time' => '09:00', 'sessions' => 3, 'minutes' => 180])
            ->assertOk()->assertJsonPath('problems', [])->assertJsonPath('left', [])->assertJsonCount(3, 'sessions')->assertJsonPath('sessions.0.starts_at', '2030-05-03T09:00:00Z');
    }

    /** @return iterable<string, array{list<mixed>, string, string}> */
    public static function wrongPlans(): iterable
    {
        yield 'too few sessions' => [[['guides']], 'sessions', 'has 6 sessions'];
        yield 'unknown lesson' => [[['juggling'], [], [], [], [], []], 'sessions.0.0', 'lesson of the course'];
        yield 'twice' => [[['guides'], ['guides'], [], [], [], []], 'sessions.1.0', 'once'];
        yield 'not a list' => [[1, 2, 3, 4, 5, 6], 'sessions.0', 'list'];
    }

    /** @param  list<mixed>  $sessions */
    #[DataProvider('wrongPlans')]
    public function test_a_wrong_plan_is_refused(array $sessions, string $field, string $said): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->assertProblem($this->putJson("/api/classes/{$class->id}/plan", ['version' => $this->version($class), 'sessions' => $sessions]), 422, $field, $said);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrongClasses(): iterable
    {
        yield 'no name' => [['name' => ''], 'name', 'must be given'];
        yield 'nobody' => [['students' => []], 'students', 'must be given'];
        yield 'the same name twice' => [['students' => ['Ona', 'ona']], 'students.0', 'twice'];
        yield 'no such day' => [['starts_on' => '2030-02-31'], 'starts_on', 'Y-m-d'];
        yield 'no such hour' => [['time' => '25:00'], 'time', 'H:i'];
        yield 'no sessions' => [['sessions' => 0], 'sessions', 'at least 1'];
        yield 'minutes' => [['minutes' => 5], 'minutes', 'at least 30'];
        yield 'no machine' => [['machines' => 0], 'machines', 'at least 1'];
    }

    /** @param  array<string, mixed>  $but */
    #[DataProvider('wrongClasses')]
    public function test_a_wrong_class_is_refused_and_nothing_half_made(array $but, string $field, string $said): void
    {
        $body = array_merge(['name' => 'T', 'students' => ['Ona'], 'starts_on' => '2030-05-02', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120, 'helpers' => 0, 'machines' => 8], $but);
        $this->assertProblem($this->actingAs($this->teacher())->postJson('/api/classes', $body), 422, $field, $said);
        $this->getJson('/api/me')->assertJsonPath('classes', []);
        $this->getJson('/api/machines')->assertExactJson([]);
    }

    public function test_class_shows_levels_and_what_they_rest_on(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $this->postJson('/api/samples', $this->seam($class, $student, ['settings' => ['tension' => '4']]))->assertCreated();
        $read = $this->getJson("/api/classes/{$class->id}")->assertOk()->assertJsonCount(48, 'skills');
        $at = array_search('secure-ends', array_column((array) $read->json('skills'), 'id'), true);
        $read->assertJsonPath("students.0.levels.$at", 'sure')->assertJsonPath("students.1.levels.$at", 'not-tried');
        $this->getJson("/api/classes/{$class->id}/students/$student/skills/secure-ends")->assertOk()->assertJsonPath('level', 'sure')
            ->assertJsonCount(3, 'showings.0.checks')->assertJsonPath('showings.0.settings.0', ['name' => 'tension', 'value' => '4']);
        $this->assertProblem($this->getJson("/api/classes/{$class->id}/students/$student/skills/juggling"), 422, 'skill', 'no such skill');
        $this->postJson("/api/classes/{$class->id}/students", ['students' => ['Sol']])->assertNoContent();
        $this->getJson("/api/classes/{$class->id}")->assertJsonCount(4, 'students');
        $this->getJson('/api/find?q=so')->assertJsonPath('0.title', 'Sol');
        $this->getJson('/api/find?q=spiral')->assertJsonPath('0.address', '/samplers/square-spiral');
        $this->getJson('/api/find?q=%25')->assertExactJson([]);
    }

    public function test_a_machine_out_of_use_makes_lessons_longer(): void
    {
        $class = $this->sewingClass($this->teacher(), array_map(fn (int $i): string => "Student $i", range(1, 8)));
        $minutes = fn (): mixed => $this->getJson("/api/classes/{$class->id}/plan")->json('lessons.4.rounds');
        self::assertSame(1, $minutes());
        $machine = (array) $this->getJson('/api/machines')->json('0');
        $this->putJson("/api/machines/{$machine['id']}", ['usable' => false] + $machine)->assertOk()->assertJsonPath('usable', false);
        self::assertSame(2, $minutes());
        $this->assertProblem($this->postJson('/api/machines', ['name' => 'X', 'drive' => 'steam', 'tension_mark' => '4', 'usable' => true, 'note' => '']), 422, 'drive', 'mechanical');
    }

    private function version(SewingClass $class): int
    {
        $version = $this->getJson("/api/classes/{$class->id}/plan")->json('version');

        return is_int($version) ? $version : 0;
    }
}
