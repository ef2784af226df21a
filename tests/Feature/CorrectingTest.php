<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\LessonAssignment;
use App\Models\Sample;
use App\Models\SampleNote;
use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Support\Clock;
use App\Support\CurrentStudio;
use Carbon\CarbonImmutable;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;
use Tests\TestCase;

/** Whatever was kept can be put right at any time, and stays what it was. */
final class CorrectingTest extends TestCase
{
    /** @return array<string, float> */
    private function standings(string $student): array
    {
        /** @var array<string, float> $known */
        $known = SkillStanding::query()->where('student_id', $student)->orderBy('skill')->pluck('known', 'skill')->all();

        return $known;
    }

    /**
     * @param  array<string, mixed>  $but
     * @return array<string, mixed> as it was sent
     */
    private function keep(SewingClass $class, string $student, array $but = []): array
    {
        $body = $this->seam($class, $student, $but);
        $this->postJson('/api/samples', $body)->assertCreated();

        return $body;
    }

    public function test_a_correction_stays_the_lesson_version_drill_and_session_it_was(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $first = $this->keep($class, $student);
        $old = Sample::query()->findOrFail($first['id']);
        self::assertNotNull($old->plan_session_id);
        // A drill is assigned meanwhile, and a week goes by.
        $this->postJson("/api/classes/{$class->id}/students/$student/next", ['lesson' => 'guides', 'drill' => 'set-wide'])->assertNoContent();
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC')->addDays(7));
        $look = $this->getJson("/api/classes/{$class->id}/students/$student/look?replaces={$old->id}")->assertOk()
            ->assertJsonPath('lesson.id', 'first-seam')->assertJsonPath('drill', null);
        self::assertEquals([
            'seam.allowance' => ['16', '15.5', '15.875', '16', '16.5'], 'seam.start-in' => ['4'], 'seam.back-start' => ['3'], 'seam.back-end' => ['3'],
            'seam.tails-held' => ['1'], 'seam.highest' => ['1'], 'seam.tail' => ['55'], 'seam.pull' => ['1'], 'seam.pins' => ['1'],
        ], $look->json('replaced.readings'));
        self::assertSame(1, $look->json('number'));
        // Whatever else is sent with it, it stays what it was.
        $this->keep($class, $student, ['replaces' => $old->id, 'drill' => 'rows-120', 'version' => 77]);
        $new = Sample::query()->where('replaces_id', $old->id)->firstOrFail();
        self::assertSame(['first-seam', $old->lesson_version, null, $old->plan_session_id], [$new->lesson, $new->lesson_version, $new->drill, $new->plan_session_id]);
        $this->getJson("/api/classes/{$class->id}/students/$student/look?replaces={$old->id}")->assertOk()->assertJsonPath('replaced.id', $new->id);
        // What the teacher chose since then still holds.
        $this->getJson("/api/classes/{$class->id}/today")->assertJsonPath('students.0.in_hand.drill', 'set-wide')->assertJsonPath('students.0.in_hand.overruled', true);
        $this->assertProblem($this->postJson('/api/samples', $this->seam($class, $student, ['replaces' => $new->id, 'lesson' => 'guides', 'readings' => []])), 422, 'lesson', 'correction is for the lesson');
    }

    public function test_a_correction_of_a_drill_stays_a_drill(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $drilled = $this->keep($class, $student, ['drill' => 'rows-120']);
        $this->getJson("/api/classes/{$class->id}/students/$student/look?replaces={$drilled['id']}")->assertOk()->assertJsonPath('drill.id', 'rows-120');
        $this->keep($class, $student, ['replaces' => $drilled['id'], 'drill' => null]);
        self::assertSame('rows-120', Sample::query()->where('replaces_id', $drilled['id'])->firstOrFail()->drill);
    }

    public function test_a_correction_in_inches_keeps_sixteenths_and_hundredths(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $first = $this->keep($class, $student);
        $this->patchJson('/api/me', ['unit' => 'in'])->assertOk();
        $typed = $this->getJson("/api/classes/{$class->id}/students/$student/look?replaces={$first['id']}")->json('replaced.readings');
        self::assertIsArray($typed);
        self::assertSame(['0.6299', '0.6102', '5/8', '0.6299', '0.6496'], $typed['seam.allowance']);
        $this->keep($class, $student, ['replaces' => $first['id'], 'readings' => $typed]);
        $values = Sample::query()->where('replaces_id', $first['id'])->firstOrFail()->readings()->where('reading', 'seam.allowance')->pluck('value')->all();
        self::assertEqualsWithDelta([16.0, 15.5, 15.875, 16.0, 16.5], $values, 0.0015);
    }

    public function test_withdrawn_and_brought_back_the_levels_follow_and_nothing_is_rubbed_out(): void
    {
        $user = $this->teacher();
        $class = $this->sewingClass($user);
        $student = $this->student($class);
        $this->keep($class, $student);
        $before = $this->standings($student);
        $bad = $this->keep($class, $student, ['readings' => ['seam.allowance' => ['12', '12', '12', '12', '12'], 'seam.pull' => ['0']], 'next' => ['lesson' => 'guides', 'because' => 'bags']]);
        $with = $this->standings($student);
        self::assertNotEquals($before, $with);

        $this->postJson("/api/samples/{$bad['id']}/withdraw", ['because' => 'it was the helper’s'])->assertOk()
            ->assertJsonPath('withdrawn', true)->assertJsonPath('versions.0.struck', true)->assertJsonPath('notes.0.text', 'it was the helper’s')->assertJsonPath('notes.0.by', $user->name);
        self::assertEquals($before, $this->standings($student));
        $today = $this->getJson("/api/classes/{$class->id}/today")->assertOk();
        self::assertNotSame($bad['id'], $today->json('students.0.last.id'));
        self::assertFalse($today->json('students.0.in_hand.overruled'), 'what was chosen with it does not hold without it');
        $this->getJson("/api/classes/{$class->id}/students/$student")->assertJsonPath('struck.0.id', $bad['id'])->assertJsonCount(1, 'seam');
        // Twice is once; and it is corrected only after it was brought back.
        $this->postJson("/api/samples/{$bad['id']}/withdraw")->assertOk();
        self::assertSame(1, SampleNote::query()->count());
        $this->assertProblem($this->postJson('/api/samples', $this->seam($class, $student, ['replaces' => $bad['id']])), 409, 'replaces', 'withdrawn');

        $this->artisan('seam:rebuild-standings')->assertSuccessful();
        self::assertEquals($before, $this->standings($student));
        $this->deleteJson("/api/samples/{$bad['id']}/withdraw")->assertOk()->assertJsonPath('withdrawn', false);
        self::assertEquals($with, $this->standings($student));
        $this->getJson("/api/classes/{$class->id}/today")->assertJsonPath('students.0.in_hand.lesson', 'guides');
        // The class table says the same as Today.
        self::assertSame(
            $this->getJson("/api/classes/{$class->id}/today")->json('students.0.in_hand.title'),
            $this->getJson("/api/classes/{$class->id}")->json('students.0.next_title'),
        );
    }

    public function test_a_sample_shows_its_corrections_and_takes_notes(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $first = $this->keep($class, $student, ['readings' => ['seam.pull' => ['0']]]);
        $second = $this->keep($class, $student, ['replaces' => $first['id']]);
        $this->postJson("/api/samples/{$first['id']}/notes", ['text' => 'read by lamplight'])->assertOk()
            ->assertJsonPath('id', $second['id'])->assertJsonPath('versions.0.id', $second['id'])->assertJsonPath('versions.0.struck', false)
            ->assertJsonPath('versions.1.id', $first['id'])->assertJsonPath('versions.1.struck', true)->assertJsonPath('notes.0.text', 'read by lamplight');
        $this->assertProblem($this->postJson("/api/samples/{$first['id']}/withdraw"), 409, 'sample', 'was corrected');
        $this->assertProblem($this->postJson("/api/samples/{$first['id']}/notes", ['text' => '']), 422, 'text', 'must be given');
        try {
            DB::table('sample_notes')->update(['text' => 'changed']);
            self::fail('A note was changed.');
        } catch (QueryException $e) {
            self::assertStringContainsString('never changed', $e->getMessage());
        }
    }

    public function test_the_newest_samples_are_there_to_be_put_right_without_asking_again(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $address = "/api/classes/{$class->id}/students/$student/samples";
        $this->getJson($address)->assertOk()->assertExactJson([]);
        $first = $this->seam($class, $student);
        $this->postJson('/api/samples', $first)->assertCreated();
        $this->postJson('/api/samples', $this->seam($class, $student, ['replaces' => strtolower($first['id'])]))->assertCreated();
        $second = $this->seam($class, $student, ['settings' => ['foot' => 'Standard'], 'sure' => true]);
        $this->postJson('/api/samples', $second)->assertCreated();
        $newest = $this->getJson($address)->assertOk()->assertJsonCount(2)->assertJsonPath('0.id', strtolower($second['id']))->assertJsonCount(2, '1.versions')->assertJsonPath('0.sheet', null)->assertJsonPath('0.lesson', 'first-seam');
        $sheet = $this->getJson("/api/classes/{$class->id}/students/$student/look?replaces=".strtolower($second['id']))->json('replaced');
        self::assertSame($sheet, $newest->json('0.typed'), 'as on the sheet itself');
        self::assertSame($newest->json('1'), $this->getJson('/api/samples/'.strtolower($first['id']))->json(), 'each as when it is opened alone');
        $this->actingAs($this->teacher('Next door'));
        $this->getJson($address)->assertNotFound();
    }

    public function test_another_studio_neither_sees_nor_touches_a_sample(): void
    {
        $class = $this->sewingClass($this->teacher());
        $first = $this->keep($class, $this->student($class));
        $this->actingAs($this->teacher('Next door'));
        $this->getJson("/api/samples/{$first['id']}")->assertNotFound();
        $this->postJson("/api/samples/{$first['id']}/notes", ['text' => 'x'])->assertNotFound();
        $this->postJson("/api/samples/{$first['id']}/withdraw")->assertNotFound();
        self::assertSame(0, SampleNote::query()->count());
    }

    public function test_without_a_studio_nothing_is_seen_and_nothing_kept(): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->keep($class, $this->student($class));
        $this->app?->forgetInstance(CurrentStudio::class);
        self::assertSame([0, 0, 0], [Sample::query()->count(), SewingClass::query()->count(), LessonAssignment::query()->count()]);
        $this->expectException(LogicException::class);
        SewingClass::query()->create(['studio_id' => $class->studio_id, 'name' => 'Nobody’s', 'course' => 'first-steps']);
    }

    public function test_with_the_clock_set_back_a_day_the_newer_word_wins(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $choose = fn (string $lesson) => $this->postJson("/api/classes/{$class->id}/students/$student/next", ['lesson' => $lesson])->assertNoContent();
        $inHand = fn (): mixed => $this->getJson("/api/classes/{$class->id}/today")->json('students.0.in_hand.lesson');
        $choose('guides');
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC')->subDay());
        $choose('square-spiral');
        self::assertSame('square-spiral', $inHand());
        self::assertSame('Square spiral', $this->getJson("/api/classes/{$class->id}")->json('students.0.next_title'));
        // So with samples: the last one kept is the last one.
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC'));
        $this->keep($class, $student, ['readings' => ['seam.pull' => ['0']]]);
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC')->subHour()->subDay());
        $last = $this->keep($class, $student);
        self::assertSame($last['id'], $this->getJson("/api/classes/{$class->id}/students/$student")->json('seam.1.sample.id'));
        self::assertSame($last['id'], $this->getJson("/api/classes/{$class->id}/today")->json('students.0.last.id'));
    }

    public function test_safe_habits_are_met_when_every_one_was_answered_and_seen(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $habits = ['fingers', 'tied-back', 'power-off', 'pins', 'hand-wheel', 'cords'];
        $safe = fn (array $answers): array => $this->seam($class, $student, ['id' => strtolower((string) Str::ulid()), 'lesson' => 'safe-seat', 'readings' => array_combine(array_map(fn (string $h): string => "habits.$h", array_keys($answers)), array_map(fn (string $a): array => [$a], array_values($answers)))]);
        $all = array_fill_keys($habits, '1');
        $open = $this->postJson('/api/samples', $safe(array_diff_key($all, ['pins' => 1])))->assertCreated()
            ->assertJsonPath('judged.verdict', 'not-yet')->assertJsonPath('judged.advice.lesson', 'safe-seat');
        self::assertStringContainsString('not looked for', (string) json_encode($open->json('judged.advice.reasons')));
        $begun = $this->standings($student)['safe-habits'];
        self::assertLessThan(0.75, $begun);
        self::assertSame('begun', $this->getJson("/api/classes/{$class->id}/students/$student/skills/safe-habits")->json('level'));
        $this->getJson("/api/classes/{$class->id}/today")->assertJsonPath('students.0.last.text', 'Pins was not looked for')->assertJsonPath('students.0.last.open', 1);
        $this->postJson('/api/samples', $safe(['pins' => '0'] + $all))->assertCreated()->assertJsonPath('judged.verdict', 'not-yet');
        self::assertLessThanOrEqual($begun, $this->standings($student)['safe-habits'], 'five habits do not outweigh the sixth');
        $this->postJson('/api/samples', $safe($all))->assertCreated()->assertJsonPath('judged.verdict', 'met');
        self::assertNotSame('safe-seat', $this->getJson("/api/classes/{$class->id}/today")->json('students.0.in_hand.lesson'));
    }

    public function test_all_met_is_not_said_of_what_was_not_all_looked_at(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $this->keep($class, $student, ['readings' => ['seam.pull' => ['1']]]);
        $text = (string) $this->getJson("/api/classes/{$class->id}/today")->json('students.0.last.text');
        self::assertStringNotContainsString('all met', $text);
        self::assertMatchesRegularExpression('/^1 of \d+ looked at, those met/', $text);
        $this->keep($class, $student);
        self::assertStringStartsWith('all met', (string) $this->getJson("/api/classes/{$class->id}/today")->json('students.0.last.text'));
    }

    public function test_a_start_in_the_past_is_asked_back(): void
    {
        $this->actingAs($this->teacher());
        $body = ['name' => 'Late', 'students' => ['Ona'], 'starts_on' => '2030-04-25', 'time' => '18:30', 'sessions' => 4, 'minutes' => 120, 'helpers' => 0, 'machines' => 4];
        $this->assertProblem($this->postJson('/api/classes', $body), 409, 'began', '2 of 4 sessions would be over');
        self::assertSame(0, SewingClass::query()->where('name', 'Late')->count());
        $this->postJson('/api/classes', ['began' => true] + $body)->assertCreated();
    }

    /** The day goes by the studio: nine in the morning in Auckland is the evening before in UTC. */
    public function test_today_is_the_studios_day(): void
    {
        Clock::fix(CarbonImmutable::parse('2030-05-08 21:00', 'UTC'));
        $user = $this->teacher();
        $user->studio->update(['timezone' => 'Pacific/Auckland']);
        $this->actingAs($user->fresh() ?? $user);
        $this->postJson('/api/classes', ['name' => 'Morning', 'students' => ['Ona'], 'starts_on' => '2030-05-09', 'time' => '09:00', 'sessions' => 2, 'minutes' => 60, 'helpers' => 0, 'machines' => 4])->assertCreated();
        $class = (string) $this->getJson('/api/me')->json('classes.0.id');
        $this->getJson("/api/classes/$class/today")->assertJsonPath('session.state', 'running')->assertJsonPath('session.number', 1);
    }

    public function test_a_round_knows_what_was_kept_in_this_session(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $one = $this->keep($class, $student, ['readings' => ['seam.pull' => ['1']]]);
        $this->getJson("/api/classes/{$class->id}/today")->assertJsonPath('students.0.kept.0.sample', $one['id'])
            ->assertJsonPath('students.0.kept.0.lesson', 'first-seam')->assertJsonPath('students.0.kept.0.rows', ['seam'])->assertJsonPath('students.1.kept', []);
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC')->addWeek());
        $this->getJson("/api/classes/{$class->id}/today")->assertJsonPath('students.0.kept', []);
    }
}
