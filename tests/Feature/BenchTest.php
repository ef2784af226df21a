<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Enrolment;
use App\Models\SewingClass;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** The next session: seated by the core, changed by the teacher, begun once. */
final class BenchTest extends TestCase
{
    private SewingClass $class;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
    }

    /** @return TestResponse<Response> */
    private function bench(): TestResponse
    {
        return $this->getJson("/api/classes/{$this->class->id}/bench");
    }

    /**
     * @param  array<string, mixed>  $but
     * @return TestResponse<Response>
     */
    private function keep(array $but = []): TestResponse
    {
        return $this->putJson("/api/classes/{$this->class->id}/bench", $but + ['version' => 0, 'most_lessons' => 3, 'held' => [], 'away' => []]);
    }

    public function test_everybody_is_seated_and_the_demo_stands_on_the_tape(): void
    {
        $bench = $this->bench()->assertOk()->assertJsonPath('version', 0)->assertJsonPath('proven', true)->assertJsonPath('students.0.lesson', 'safe-seat')->assertJsonPath('students.0.round', 1);
        self::assertSame(3, count(array_unique(array_column((array) $bench->json('students'), 'name'))));
        $shown = array_values(array_filter((array) $bench->json('tape'), fn (mixed $p): bool => is_array($p) && $p['kind'] === 'show'));
        self::assertSame(['safe-seat'], array_column($shown, 'lesson'));
    }

    public function test_the_session_begins_as_it_is_seated(): void
    {
        $this->postJson('/api/samples', $this->seam($this->class, $this->student($this->class)))->assertCreated();
        $other = (string) DB::table('machines')->where('studio_id', $this->class->studio_id)->orderByDesc('id')->value('id');
        $one = $this->student($this->class, 2);
        $this->keep(['held' => [$one => ['machine' => $other, 'lesson' => 'wind-and-thread']]])->assertOk()->assertJsonPath('version', 1)->assertJsonPath('students.1.held', 'both')->assertJsonPath('students.1.machine', $other)->assertJsonPath('students.1.lesson', 'wind-and-thread');
        self::assertGreaterThan(0.5, $this->bench()->json('cost'));
        $this->postJson("/api/classes/{$this->class->id}/bench/start", ['version' => 1])->assertOk()->assertJsonPath('students.1.lesson', 'wind-and-thread');
        self::assertSame($other, Enrolment::query()->where('student_id', $one)->value('machine_id'));
        $this->getJson("/api/classes/{$this->class->id}/today")->assertOk()->assertJsonPath('students.1.in_hand.lesson', 'wind-and-thread')->assertJsonPath('session.begun', true);
        $this->assertDatabaseHas('lesson_assignments', ['student_id' => $one, 'by_bench' => 1, 'lesson' => 'wind-and-thread', 'proposed_lesson' => 'safe-seat']);
    }

    public function test_two_teachers_at_once_and_nonsense_are_told(): void
    {
        $this->keep()->assertOk()->assertJsonPath('version', 1);
        $this->assertProblem($this->keep(['most_lessons' => 2]), 409, 'version', 'at version 1 now');
        $this->assertProblem($this->postJson("/api/classes/{$this->class->id}/bench/start", ['version' => 0]), 409, 'version', 'changed meanwhile');
        $now = ['version' => 1];
        $one = $this->student($this->class);
        $this->assertProblem($this->keep($now + ['held' => ['nobody' => ['lesson' => 'guides']]]), 422, 'held.nobody', 'Nobody');
        $this->assertProblem($this->keep($now + ['held' => [$one => ['machine' => '01jbq3zz7h4x8v1m2n3p4q5r6s']]]), 422, "held.$one.machine", 'not in the room');
        $this->assertProblem($this->keep($now + ['held' => [$one => ['lesson' => 'juggling']]]), 422, "held.$one.lesson", 'no such lesson');
        $this->assertProblem($this->keep($now + ['most_lessons' => 0]), 422, 'most_lessons', 'at least 1');
        $this->assertProblem($this->keep($now + ['away' => [$one => 'asleep']]), 422, "away.$one", 'late, absent, left');
        $machine = (string) DB::table('machines')->where('studio_id', $this->class->studio_id)->value('id');
        $this->assertProblem($this->keep($now + ['held' => [$one => ['machine' => $machine], $this->student($this->class, 2) => ['machine' => $machine]]]), 422, 'held.'.$this->student($this->class, 2).'.machine', 'Ona is held');
        $this->bench()->assertJsonPath('version', 1)->assertJsonPath('students.0.held', null);
    }

    public function test_who_is_away_sews_nothing_and_all_away_begins_nothing(): void
    {
        $ids = array_map(fn (int $seat): string => $this->student($this->class, $seat), [1, 2, 3]);
        $this->putJson("/api/classes/{$this->class->id}/bench/state", ['student' => $ids[0], 'state' => 'late'])->assertOk()->assertJsonPath('students.0.state', 'late')->assertJsonPath('students.0.round', 0)->assertJsonPath('students.1.round', 1);
        $this->putJson("/api/classes/{$this->class->id}/bench/state", ['student' => $ids[0], 'state' => 'here'])->assertOk()->assertJsonPath('students.0.round', 1);
        $this->assertProblem($this->putJson("/api/classes/{$this->class->id}/bench/state", ['student' => $ids[0], 'state' => 'lost']), 422, 'state', 'here');
        $all = $this->keep(['version' => 2, 'away' => array_fill_keys($ids, 'absent')])->assertOk();
        self::assertSame([0, 0, 0], array_column((array) $all->json('students'), 'round'));
        $this->assertProblem($this->postJson("/api/classes/{$this->class->id}/bench/start", ['version' => 3]), 422, 'seats', 'all are away');
        $this->bench()->assertJsonPath('started_at', null);
    }

    public function test_a_look_costs_nothing(): void
    {
        $this->keep(['try' => true, 'most_lessons' => 1])->assertOk()->assertJsonPath('most_lessons', 1);
        $this->bench()->assertJsonPath('version', 0)->assertJsonPath('most_lessons', 4);
    }

    /** One zip foot for three who are at the zip: one after the other, told why, and the foot to hand out. */
    public function test_a_foot_that_is_short_makes_rounds(): void
    {
        $feet = DB::table('feet')->where('studio_id', $this->class->studio_id);
        $this->postJson('/api/feet', ['name' => 'Zip', 'count' => 1, 'facts' => ['kind' => 'zip']])->assertCreated();
        self::assertGreaterThan(1, $feet->count());
        foreach ([1, 2, 3] as $seat) {
            $this->postJson("/api/classes/{$this->class->id}/students/{$this->student($this->class, $seat)}/next", ['lesson' => 'zip', 'because' => 'a skirt by Sunday'])->assertNoContent();
        }
        $bench = $this->bench()->assertOk();
        $students = (array) $bench->json('students');
        $zips = array_filter($students, fn (mixed $s): bool => is_array($s) && $s['lesson'] === 'zip');
        $rounds = array_column($zips, 'round');
        sort($rounds);
        self::assertSame(range(1, count($rounds)), $rounds, 'one foot, one after the other');
        foreach ($students as $s) {
            self::assertIsArray($s);
            if ($s['round'] !== 1 || $s['lesson'] !== 'zip') {
                self::assertIsString($s['why']);
                self::assertStringContainsString('foot for Zip is with', $s['why']);
            }
        }
        $zip = array_values(array_filter((array) $bench->json('feet'), fn (mixed $f): bool => is_array($f) && str_contains(strtolower((string) $f['title']), 'zip')))[0] ?? null;
        self::assertSame(['wanted' => 1, 'have' => 1], is_array($zip) ? array_intersect_key($zip, ['wanted' => 1, 'have' => 1]) : null);
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/classes/{$this->class->id}/print?what=bench")->assertOk()->getContent());
    }

    /** After a start somebody leaves: the rest of the evening is seated anew without them, and what was given stays told. */
    public function test_the_rest_of_the_evening_is_planned_anew(): void
    {
        $this->postJson("/api/classes/{$this->class->id}/bench/start", ['version' => 0])->assertOk();
        $gone = $this->student($this->class, 3);
        $version = $this->putJson("/api/classes/{$this->class->id}/bench/state", ['student' => $gone, 'state' => 'left'])->assertOk()->json('version');
        $this->postJson('/api/samples', $this->seam($this->class, $this->student($this->class), ['lesson' => 'safe-seat', 'readings' => ['habits.hair' => ['1']]]))->assertStatus(422);
        $this->postJson("/api/classes/{$this->class->id}/bench/start", ['version' => $version])->assertOk();
        $today = $this->getJson("/api/classes/{$this->class->id}/today")->assertOk()->assertJsonPath('students.2.state', 'left')->assertJsonPath('students.2.round', 0)->assertJsonPath('students.0.round', 1);
        self::assertSame('show', $today->json('session.tape.0.kind'));
        self::assertEqualsWithDelta(30.0, $today->json('session.tape.0.from'), 1e-6, 'from now on: the class began at half past six');
    }
}
