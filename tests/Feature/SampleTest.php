<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\LessonAssignment;
use App\Models\Sample;
use App\Models\SampleReading;
use App\Models\SkillStanding;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class SampleTest extends TestCase
{
    public function test_a_kept_sample_is_graded_stored_and_followed_by_a_lesson(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $body = $this->seam($class, $student, ['settings' => ['machine' => 'Machine 1', 'length' => '2.5', 'tension' => '4']]);
        $this->postJson('/api/samples', $body)->assertCreated()
            ->assertJsonPath('judged.verdict', 'met')->assertJsonPath('judged.complete', true)
            // Safety was never shown: it comes first, whatever was sewn.
            ->assertJsonPath('judged.advice.lesson', 'safe-seat')->assertJsonPath('overruled', false);
        $sample = Sample::query()->with('readings')->findOrFail($body['id']);
        self::assertSame(['machine' => 'Machine 1', 'length' => '2.5', 'tension' => '4'], $sample->settings);
        self::assertSame(15.875, $sample->readings->firstWhere('position', 2)?->value);
        self::assertNotNull($sample->plan_session_id, 'it belongs to the session in hand');
        self::assertGreaterThan(0.75, SkillStanding::query()->where('student_id', $student)->where('skill', 'secure-ends')->firstOrFail()->known);
        self::assertSame('safe-seat', LessonAssignment::query()->where('student_id', $student)->firstOrFail()->lesson);
    }

    public function test_a_preview_judges_and_stores_nothing(): void
    {
        $class = $this->sewingClass($this->teacher());
        $body = $this->seam($class, $this->student($class), ['readings' => ['seam.allowance' => ['13.5', '14.5', '15.5', '17', '18.5']]]);
        unset($body['id']);
        $this->postJson('/api/samples/preview', $body)->assertOk()->assertJsonPath('verdict', 'not-yet')->assertJsonPath('complete', false)
            ->assertJsonPath('checks.1.text', 'drifts +5.0 mm over 120 mm')->assertJsonPath('measured.0.row', 'seam');
        self::assertSame(0, Sample::query()->count());
    }

    public function test_what_was_sewn_before_a_lesson_changed_is_judged_by_the_lesson_as_it_was(): void
    {
        $class = $this->sewingClass($this->teacher());
        $lanes = fn (int $version): mixed => collect((array) $this->postJson('/api/samples/preview', array_diff_key($this->seam($class, $this->student($class), [
            'lesson' => 'square-spiral', 'version' => $version, 'readings' => ['spiral.lanes' => ['7.4', '7.4', '7.4', '7.4']],
        ]), ['id' => 0]))->assertOk()->json('checks'))->firstWhere('key', 'spiral.lanes')['verdict'];
        self::assertSame('met', $lanes(1), 'lanes of 7 mm');
        self::assertNotSame('met', $lanes(2), 'lanes by the foot’s edge, 6.5 mm where it was not measured');
    }

    public function test_a_preview_of_a_drill_says_what_keeping_it_says(): void
    {
        $class = $this->sewingClass($this->teacher());
        $body = $this->seam($class, $this->student($class), ['drill' => 'rows-120', 'readings' => ['seam.allowance' => ['16', '15.5', '15.875', '16', '16.5']]]);
        $preview = $this->postJson('/api/samples/preview', array_diff_key($body, ['id' => 0]))->assertOk()->assertJsonPath('verdict', 'met')->json();
        self::assertEquals($preview, $this->postJson('/api/samples', $body)->assertCreated()->json('judged'));
        // As the whole lesson it would still be open: nothing was said of its ends.
        $this->postJson('/api/samples/preview', array_diff_key($body, ['id' => 0, 'drill' => 0]))->assertOk()->assertJsonPath('verdict', 'unsure');
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function nonsense(): iterable
    {
        yield 'negative' => [['readings' => ['seam.allowance' => ['-3']]], 'readings.seam.allowance[0]', '0 to 60 mm'];
        yield 'four metres' => [['readings' => ['seam.allowance' => [4000]]], 'readings.seam.allowance[0]', '0 to 60 mm'];
        yield 'letters' => [['readings' => ['seam.allowance' => ['abc']]], 'readings.seam.allowance[0]', 'abc'];
        yield 'too many' => [['lesson' => 'guides', 'readings' => ['quarter.allowance' => [6, 6, 6, 6, 6]]], 'readings.quarter.allowance', 'takes 3, not 5'];
        yield 'unknown reading' => [['readings' => ['seam.mood' => ['good']]], 'readings.seam.mood', 'no such reading'];
        yield 'unknown fault' => [['faults' => ['gremlins']], 'faults[0]', 'no such fault'];
        yield 'unknown lesson' => [['lesson' => 'juggling'], 'lesson', 'no such lesson'];
        yield 'unknown student' => [['student' => '01arz3ndektsv4rrffq69g5fav'], 'student', 'no such student'];
        yield 'nothing to keep' => [['readings' => []], 'readings', 'nothing to judge'];
        yield 'no id' => [['id' => 'seven'], 'id', 'ULID'];
        yield 'foreign setting' => [['settings' => ['colour' => 'red']], 'settings', 'machine, foot, needle'];
        yield 'readings as text' => [['readings' => 'long'], 'readings', 'list'];
        yield 'a choice without a lesson' => [['next' => ['because' => 'x']], 'next.lesson', 'must be given'];
        yield 'a drill of another lesson' => [['drill' => 'set-wide'], 'drill', 'no such drill'];
        yield 'a drill that is not there' => [['next' => ['lesson' => 'first-seam', 'drill' => 'dance']], 'next.drill', 'no such drill'];
        yield 'a correction of nothing' => [['replaces' => '01arz3ndektsv4rrffq69g5fav'], 'replaces', 'kept sample'];
    }

    /** @param  array<string, mixed>  $but */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_by_name_and_nothing_is_stored(array $but, string $field, string $said): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->assertProblem($this->postJson('/api/samples', $this->seam($class, $this->student($class), $but)), 422, $field, $said);
        self::assertSame([0, 0, 0], [Sample::query()->count(), SampleReading::query()->count(), LessonAssignment::query()->count()]);
    }

    public function test_a_huge_or_broken_body_is_refused(): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->assertProblem($this->postJson('/api/samples', $this->seam($class, $this->student($class), ['note' => str_repeat('x', 2_000_000)])), 413, '(body)', '256 kB');
        $broken = $this->call('POST', '/api/samples', [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], '{"id": ');
        $this->assertProblem($broken, 400, '(body)', 'JSON');
        $endless = $this->call('POST', '/api/samples', [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], '{"readings": {"seam.back-start": [1e400]}}');
        $this->assertProblem($endless, 422, 'readings.seam.back-start[0]', 'too large');
        $form = $this->call('POST', '/api/samples', [], [], [], ['CONTENT_TYPE' => 'text/plain', 'HTTP_ACCEPT' => 'application/json'], '{}');
        $this->assertProblem($form, 415, '(body)', 'application/json');
    }

    public function test_the_same_sample_sent_twice_counts_once(): void
    {
        $class = $this->sewingClass($this->teacher());
        $body = $this->seam($class, $this->student($class));
        $first = $this->postJson('/api/samples', $body)->assertCreated()->json();
        self::assertSame($first, $this->postJson('/api/samples', $body)->assertCreated()->json());
        self::assertSame([1, 1], [Sample::query()->count(), LessonAssignment::query()->count()]);
        $other = ['readings' => ['seam.back-start' => ['9']]] + $body;
        $this->assertProblem($this->postJson('/api/samples', $other), 409, 'id', 'already kept');
    }

    public function test_a_correction_takes_the_place_of_what_it_corrects(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $wrong = $this->seam($class, $student, ['readings' => ['seam.back-end' => ['0'], 'seam.pull' => ['0']]]);
        $this->postJson('/api/samples', $wrong)->assertCreated();
        $known = fn (): float => SkillStanding::query()->where('student_id', $student)->where('skill', 'secure-ends')->firstOrFail()->known;
        $low = $known();
        $right = $this->seam($class, $student, ['replaces' => $wrong['id']]);
        $this->postJson('/api/samples', $right)->assertCreated();
        self::assertGreaterThan($low, $known());
        self::assertSame(2, Sample::query()->count(), 'the first one stays');
        $this->getJson("/api/classes/{$class->id}/students/{$student}/look?lesson=first-seam")->assertOk()->assertJsonCount(1, 'earlier');
        $this->assertProblem($this->postJson('/api/samples', $this->seam($class, $student, ['replaces' => $wrong['id']])), 409, 'replaces', 'already corrected');
    }

    public function test_kept_samples_cannot_be_changed_even_by_hand(): void
    {
        $class = $this->sewingClass($this->teacher());
        $body = $this->seam($class, $this->student($class));
        $this->postJson('/api/samples', $body)->assertCreated();
        foreach (['samples' => 'lesson', 'sample_readings' => 'reading'] as $table => $column) {
            try {
                DB::table($table)->update([$column => 'changed']);
                self::fail("$table was changed.");
            } catch (QueryException $e) {
                self::assertStringContainsString('never changed', $e->getMessage());
            }
        }
    }

    public function test_the_teacher_overrules_and_it_holds_until_the_next_sample(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $this->postJson('/api/samples', $this->seam($class, $student, ['next' => ['lesson' => 'guides', 'drill' => 'set-wide', 'because' => 'bag handles']]))
            ->assertCreated()->assertJsonPath('overruled', true)->assertJsonPath('next_title', 'Guides: set 38.1 three times');
        $row = fn (): array => (array) $this->getJson("/api/classes/{$class->id}/today")->assertOk()->json('students.0.in_hand');
        self::assertSame(['guides', 'set-wide', true], [$row()['lesson'], $row()['drill'], $row()['overruled']]);
        self::assertSame(['safe-seat', 'guides'], [LessonAssignment::query()->firstOrFail()->proposed_lesson, LessonAssignment::query()->firstOrFail()->lesson]);
        $this->postJson("/api/classes/{$class->id}/students/{$student}/next", ['lesson' => 'square-spiral'])->assertNoContent();
        self::assertSame('square-spiral', $row()['lesson']);
        $this->postJson('/api/samples', $this->seam($class, $student, ['id' => strtolower((string) Str::ulid())]))->assertCreated();
        self::assertSame('safe-seat', $row()['lesson']);
    }

    public function test_inches_are_read_and_said_in_inches(): void
    {
        $teacher = $this->teacher();
        $class = $this->sewingClass($teacher);
        $this->patchJson('/api/me', ['unit' => 'in'])->assertOk()->assertJsonPath('unit', 'in');
        $this->postJson('/api/samples', $this->seam($class, $this->student($class), ['readings' => ['seam.allowance' => ['5/8', '5/8', '5/8', '11/16', '5/8']]]))
            ->assertCreated()->assertJsonPath('judged.checks.0.verdict', 'met')->assertJsonPath('judged.checks.0.text', 'mean 5/8 in, 0 in over');
        self::assertSame(15.875, SampleReading::query()->where('position', 0)->firstOrFail()->value);
    }

    public function test_a_sample_kept_meanwhile_is_asked_about_and_never_written_over(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        // Both devices opened the sheet when there was none.
        $first = $this->seam($class, $student, ['known' => 0]);
        $second = $this->seam($class, $student, ['known' => 0, 'readings' => ['seam.pull' => ['0']]]);
        $this->postJson('/api/samples', $first)->assertCreated();
        $this->assertProblem($this->postJson('/api/samples', $second), 409, 'known', 'kept for this student meanwhile');
        // The first one sent again is the first one, and not asked about.
        $this->postJson('/api/samples', $first)->assertCreated();
        self::assertSame(1, Sample::query()->where('student_id', $student)->count());
        $this->postJson('/api/samples', ['sure' => true] + $second)->assertCreated();
        self::assertSame(2, Sample::query()->where('student_id', $student)->count());
        // Of another student, or another lesson, nobody asks.
        $this->postJson('/api/samples', $this->seam($class, $this->student($class, 2), ['known' => 0]))->assertCreated();
        $this->postJson('/api/samples', $this->seam($class, $student, ['known' => 2]))->assertCreated();
    }

    public function test_settings_that_worked_are_found_again(): void
    {
        $class = $this->sewingClass($this->teacher());
        $good = ['machine' => 'Machine 1', 'length' => '2.5', 'tension' => '4', 'needle' => '80', 'cloth' => 'jersey, 2 layers'];
        foreach ([1, 2] as $seat) {
            $this->postJson('/api/samples', $this->seam($class, $this->student($class, $seat), ['settings' => $good]))->assertCreated();
        }
        // Not met, or nothing noted but the seat's machine: that is no help to anybody.
        $this->postJson('/api/samples', $this->seam($class, $this->student($class, 3), ['settings' => ['tension' => '9'] + $good, 'faults' => ['nest']]))->assertCreated();
        $this->postJson('/api/samples', $this->seam($class, $this->student($class, 3), ['settings' => ['machine' => 'Machine 3']]))->assertCreated();
        $found = $this->getJson('/api/settings?q=JERSEY+machine')->assertOk()->assertJsonCount(1);
        self::assertSame(['First seam', 'Machine 1', 'jersey, 2 layers', '2.5', 2], [$found->json('0.title'), $found->json('0.machine'), $found->json('0.cloth'), $found->json('0.length'), $found->json('0.times')]);
        self::assertStringNotContainsString('Ona', (string) $found->getContent());
        $this->getJson('/api/settings?q=silk')->assertOk()->assertExactJson([]);
        $this->getJson('/api/settings')->assertOk()->assertJsonCount(1);
        $this->actingAs($this->teacher('Elsewhere'))->getJson('/api/settings')->assertOk()->assertExactJson([]);
    }
}
