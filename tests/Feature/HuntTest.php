<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\SkillStanding;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Looking for what is behind a fault, one change at a time. */
final class HuntTest extends TestCase
{
    /**
     * @param  list<string>  $seen
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function open(array $seen, array $with = []): TestResponse
    {
        return $this->postJson('/api/hunts', $with + ['id' => strtolower((string) Str::ulid()), 'seen' => $seen]);
    }

    /**
     * @param  TestResponse<Response>  $hunt
     * @return TestResponse<Response>
     */
    private function answer(TestResponse $hunt, string $result): TestResponse
    {
        return $this->postJson("/api/hunts/{$hunt->json('id')}/trials", ['after' => $hunt->json('trials'), 'cause' => $hunt->json('next'), 'result' => $result]);
    }

    public function test_a_cause_is_found_in_the_end_and_remembered(): void
    {
        $this->actingAs($this->teacher());
        $hunt = $this->open(['breaks'])->assertCreated()->assertJsonPath('closed', false)->assertJsonPath('trials', 0);
        $causes = array_column((array) $hunt->json('causes'), 'chance', 'id');
        self::assertEqualsWithDelta(0.97, array_sum($causes), 1e-6);
        $first = $hunt->json('next');
        // Not it: the next one, and this one hardly any more.
        $second = $this->answer($hunt, 'same')->assertOk()->assertJsonPath('trials', 1);
        self::assertNotSame($first, $second->json('next'));
        self::assertSame([$first, 'same'], [$second->json('causes.0.id'), $second->json('causes.0.result')]);
        // An answer to a question that was answered already is refused.
        $this->assertProblem($this->answer($hunt, 'cured'), 409, 'after', 'went on meanwhile');
        $found = $this->answer($second, 'cured')->assertOk()->assertJsonPath('closed', true)->assertJsonPath('found', $second->json('next'))->assertJsonPath('next', null);
        $this->assertProblem($this->postJson("/api/hunts/{$found->json('id')}/trials", ['after' => 2, 'cause' => 'old-thread', 'result' => 'cured']), 409, 'after', 'went on');
        // The next search in this studio knows of it; in another studio it does not.
        $again = array_column((array) $this->open(['breaks'])->json('causes'), 'chance', 'id');
        self::assertGreaterThan($causes[$found->json('found')], $again[$found->json('found')]);
        $this->getJson('/api/hunts')->assertOk()->assertJsonCount(2);
        $this->actingAs($this->teacher('Elsewhere'));
        self::assertEqualsWithDelta($causes[$found->json('found')], array_column((array) $this->open(['breaks'])->json('causes'), 'chance', 'id')[$found->json('found')], 1e-9);
        $this->getJson("/api/hunts/{$found->json('id')}")->assertNotFound();
    }

    public function test_when_nothing_is_left_to_try_it_ends(): void
    {
        $this->actingAs($this->teacher());
        $hunt = $this->open(['tunnelling'])->assertCreated();
        for ($i = 0; $i < count((array) $hunt->json('causes')); $i++) {
            self::assertFalse($hunt->json('closed'));
            $hunt = $this->answer($hunt, $i % 2 === 0 ? 'same' : 'worse')->assertOk();
        }
        $hunt->assertJsonPath('closed', true)->assertJsonPath('found', null)->assertJsonPath('next', null);
    }

    public function test_what_is_found_counts_for_the_student_and_reaches_the_next_lesson(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $habits = array_fill_keys(array_map(fn (string $h): string => "habits.$h", ['fingers', 'tied-back', 'power-off', 'pins', 'hand-wheel', 'cords']), ['1']);
        $this->postJson('/api/samples', $this->seam($class, $student, ['lesson' => 'safe-seat', 'readings' => $habits]))->assertCreated();
        $known = fn (): ?float => SkillStanding::query()->where('student_id', $student)->where('skill', 'thread-top')->value('known');
        // Looked into while the sample is still in hand: it counts from when the sample is kept.
        $body = $this->seam($class, $student, ['faults' => ['breaks']]);
        $hunt = $this->open(['breaks'], ['student' => $student, 'sample' => $body['id']])->assertCreated();
        $this->postJson("/api/hunts/{$hunt->json('id')}/trials", ['after' => 0, 'cause' => 'caught-on-spool', 'result' => 'cured'])->assertOk()->assertJsonPath('found', 'caught-on-spool');
        self::assertNull($known());
        $preview = $this->postJson('/api/samples/preview', $body)->assertOk()->json();
        self::assertEquals($preview, $this->postJson('/api/samples', $body)->assertCreated()->json('judged'));
        $this->getJson("/api/classes/{$class->id}/students/$student/skills/thread-top")->assertOk()->assertJsonPath('level', 'begun');
        $next = $this->getJson("/api/classes/{$class->id}/students/$student")->assertOk()->json('advice');
        self::assertStringContainsString('caught on the spool', (string) json_encode($next));
        // Looked into after it was kept: it counts at once, for a correction of it too.
        $later = $this->seam($class, $student, ['faults' => ['loops-under']]);
        $this->postJson('/api/samples', $later)->assertCreated();
        $hunt = $this->open(['loops-under'], ['student' => $student, 'sample' => $later['id']])->assertCreated();
        $tension = fn (): ?float => SkillStanding::query()->where('student_id', $student)->where('skill', 'read-tension')->value('known');
        self::assertNull($tension());
        $this->postJson("/api/hunts/{$hunt->json('id')}/trials", ['after' => 0, 'cause' => 'top-tension-low', 'result' => 'cured'])->assertOk();
        $after = $tension();
        $this->getJson("/api/classes/{$class->id}/students/$student/skills/read-tension")->assertOk()->assertJsonPath('level', 'begun');
        $this->postJson('/api/samples', ['id' => strtolower((string) Str::ulid()), 'replaces' => $later['id']] + $later)->assertCreated();
        self::assertEqualsWithDelta($after, $tension(), 1e-9);
        // Nobody else's sample.
        $this->assertProblem($this->open(['nest'], ['student' => $this->student($class, 2), 'sample' => $later['id']]), 422, 'sample', 'of this student');
    }

    public function test_the_same_search_sent_twice_is_one(): void
    {
        $this->actingAs($this->teacher());
        $id = strtolower((string) Str::ulid());
        $this->open(['nest'], ['id' => $id])->assertCreated();
        $this->open(['nest'], ['id' => $id])->assertCreated();
        $this->getJson('/api/hunts')->assertJsonCount(1);
        $this->assertProblem($this->open(['skipped'], ['id' => $id]), 409, 'id', 'already opened');
    }

    public function test_nonsense_is_named_and_nothing_is_stored(): void
    {
        $this->actingAs($this->teacher());
        $this->assertProblem($this->open([]), 422, 'seen', 'must be given');
        $this->assertProblem($this->open(['song']), 422, 'seen[0]', 'no such fault');
        $this->assertProblem($this->open(['nest'], ['machine' => 'none']), 422, 'machine', 'in this studio');
        $this->assertProblem($this->open(['nest'], ['known' => ['cloth' => 'steel']]), 422, 'known.cloth', 'one of');
        $this->assertDatabaseCount('fault_hunts', 0);
        $hunt = $this->open(['nest']);
        $this->assertProblem($this->postJson("/api/hunts/{$hunt->json('id')}/trials", ['after' => 0, 'cause' => 'moon', 'result' => 'cured']), 422, 'cause', 'looked at');
        $this->assertProblem($this->postJson("/api/hunts/{$hunt->json('id')}/trials", ['after' => 0, 'cause' => $hunt->json('next'), 'result' => 'maybe']), 422, 'result', 'one of');
    }

    public function test_the_same_fault_at_one_machine_is_told_in_the_room_and_counts(): void
    {
        $class = $this->sewingClass($this->teacher(), array_map(fn (int $i): string => "Student $i", range(1, 12)));
        // Four sew on one machine and have loops; nobody else has.
        foreach (range(1, 12) as $seat) {
            $this->postJson('/api/samples', $this->seam($class, $this->student($class, $seat), ['faults' => $seat <= 4 ? ['loops-under'] : [], 'settings' => ['machine' => $seat <= 4 ? 'Machine 8' : 'Machine '.($seat % 4 + 1)]]))->assertCreated();
        }
        $room = collect((array) $this->getJson('/api/room')->assertOk()->json('machines'));
        $said = fn (string $name): array => (array) data_get($room->firstWhere('machine.name', $name), 'drifts');
        self::assertStringContainsString('Loops underneath with 4 of the 4 students', implode(' ', $said('Machine 8')));
        self::assertSame([], $said('Machine 2'));
        $machine = Machine::query()->where('name', 'Machine 8')->firstOrFail()->id;
        $here = array_column((array) $this->open(['loops-under'], ['machine' => $machine])->assertCreated()->json('causes'), 'chance', 'id');
        $anywhere = array_column((array) $this->open(['loops-under'])->json('causes'), 'chance', 'id');
        self::assertLessThan($anywhere['top-not-seated'], $here['top-not-seated'], 'rather the machine than the hands');
    }
}
