<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** What a teacher wants of a plan, as it is sent, kept and shown. */
final class WishesTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $wishes
     * @return TestResponse<Response>
     */
    private function lay(SewingClass $class, array $wishes, string $how = 'lay-out'): TestResponse
    {
        $version = (int) $this->getJson("/api/classes/{$class->id}/plan")->json('version');

        return $this->postJson("/api/classes/{$class->id}/plan/$how", $wishes + ['version' => $version, 'starts_on' => '2030-06-06', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120]);
    }

    public function test_wishes_hold_and_are_kept_with_the_plan(): void
    {
        $class = $this->sewingClass($this->teacher(), array_map(fn (int $i): string => "Student $i", range(1, 10)));
        $wishes = [
            'not_before' => ['guides' => 4], 'not_after' => ['length-ladder' => 4], 'together' => [['safe-seat', 'needle-and-foot']], 'home' => ['paper-drive'], 'order' => 'feet-first',
            'settle' => 10, 'clear' => 15, 'review_every' => 3, 'review_minutes' => 15, 'pace' => 110, 'lengths' => ['2' => 150], 'weekdays' => [2, 4], 'every_weeks' => 1, 'made_up' => ['2030-06-11' => '2030-06-12 10:00'], 'closed' => ['2030-06-18'],
        ];
        $plan = $this->lay($class, $wishes)->assertOk()->assertJsonPath('problems', [])->assertJsonPath('left', []);
        foreach ($wishes as $name => $value) {
            $plan->assertJsonPath("wishes.$name", $value);
        }
        $in = [];
        foreach ((array) $plan->json('sessions') as $k => $session) {
            $in += array_fill_keys($session['lessons'], $k + 1);
        }
        self::assertGreaterThanOrEqual(4, $in['guides']);
        self::assertLessThanOrEqual(4, $in['length-ladder']);
        self::assertSame($in['safe-seat'], $in['needle-and-foot']);
        // At home: no class time, after what it needs and before what stands on it.
        self::assertArrayNotHasKey('paper-drive', $in);
        $home = (int) array_key_first(array_filter((array) $plan->json('sessions'), fn (array $s): bool => $s['home'] === ['paper-drive'])) + 1;
        self::assertGreaterThanOrEqual($in['wind-and-thread'], $home);
        self::assertLessThan($in['first-seam'], $home);
        self::assertStringContainsString('sewn at home', (string) $plan->json('proof.reasons.first-seam').$plan->json('proof.reasons.length-ladder'));
        // 120 less 10 and 15; the second is longer; the third and sixth hold a review.
        self::assertEquals([95, 125, 80, 95, 95, 80], array_column((array) $plan->json('sessions'), 'usable'));
        self::assertEquals([0, 0, 15, 0, 0, 15], array_column((array) $plan->json('sessions'), 'review'));
        self::assertSame(['06-06T18:30', '06-12T10:00', '06-13T18:30', '06-20T18:30', '06-25T18:30', '06-27T18:30'], array_map(fn (string $at): string => substr($at, 5, 11), array_column((array) $plan->json('sessions'), 'starts_at')));
        // What is not sent again stays.
        $this->lay($class, [])->assertOk()->assertJsonPath('wishes.home', ['paper-drive'])->assertJsonPath('wishes.weekdays', [2, 4])->assertJsonPath('wishes.settle', 10)->assertJsonPath('wishes.made_up', ['2030-06-11' => '2030-06-12 10:00']);
        $this->lay($class, ['home' => [], 'made_up' => []])->assertOk()->assertJsonPath('wishes.home', [])->assertJsonPath('wishes.made_up', [])->assertJsonPath('wishes.order', 'feet-first');
        // The handout, the calendar and the table say what is sewn at home.
        $this->lay($class, ['home' => ['paper-drive']])->assertOk();
        self::assertStringContainsString('At home: Paper drive', (string) $this->get("/api/classes/{$class->id}/plan/export?as=calendar")->assertOk()->getContent());
        self::assertStringContainsString('"at home"', (string) $this->get("/api/classes/{$class->id}/plan/export?as=table")->assertOk()->getContent());
        $this->get("/api/classes/{$class->id}/print?what=handout")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    }

    public function test_the_tape_of_the_evening_has_the_review_and_the_class_s_own_frame(): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->lay($class, ['starts_on' => '2030-05-02', 'settle' => 0, 'clear' => 20, 'review_every' => 2, 'review_minutes' => 30])->assertOk();
        $tape = (array) $this->getJson("/api/classes/{$class->id}/today")->assertOk()->json('session.tape');
        self::assertSame(['review', 'Look back'], [$tape[0]['kind'], $tape[0]['title']]);
        self::assertEquals([0, 30], [$tape[0]['from'], $tape[0]['to']]);
        $last = $tape[count($tape) - 1];
        self::assertEquals(['clear', 20], [$last['kind'], $last['to'] - $last['from']]);
    }

    public function test_a_plan_is_tried_and_nothing_is_kept(): void
    {
        $class = $this->sewingClass($this->teacher());
        $before = $this->getJson("/api/classes/{$class->id}/plan")->json();
        $this->lay($class, ['sessions' => 4, 'minutes' => 200, 'pace' => 150, 'home' => ['paper-drive']], 'try')->assertOk()->assertJsonCount(4, 'sessions')->assertJsonPath('wishes.pace', 150)->assertJsonPath('proof.proven', true);
        self::assertSame($before, $this->getJson("/api/classes/{$class->id}/plan")->json());
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'unknown lesson' => [['not_before' => ['sail' => 2]], 'not_before', 'lesson of the course'];
        yield 'no such session' => [['not_after' => ['guides' => 9]], 'not_after.guides', 'sessions 1 to 6'];
        yield 'contradiction' => [['not_before' => ['guides' => 3], 'not_after' => ['guides' => 2]], 'not_after.guides', '“Guides” may not stand before session 3'];
        yield 'clash' => [['not_after' => ['guides' => 1, 'square-spiral' => 1]], 'pins', '“Square spiral” in session 1'];
        yield 'pinned at home' => [['pins' => ['guides' => 2], 'home' => ['guides']], 'home.0', 'takes class time'];
        yield 'alone together' => [['together' => [['guides']]], 'together.0', 'at least 2'];
        yield 'too long together' => [['together' => [['safe-seat', 'wind-and-thread', 'needle-and-foot', 'paper-drive', 'first-seam']]], 'together', 'no session has more than 105'];
        yield 'no such order' => [['order' => 'loudest-first'], 'order', 'one of'];
        yield 'pace' => [['pace' => 5], 'pace', 'at least 50'];
        yield 'length' => [['lengths' => ['9' => 120]], 'lengths.9', 'sessions 1 to 6'];
        yield 'no such weekday' => [['weekdays' => [8]], 'weekdays.0', 'at most 7'];
        yield 'made up for nothing' => [['made_up' => ['2030-06-07' => '2030-06-08 10:00']], 'made_up.2030-06-07', 'no session on 2030-06-07'];
        yield 'made up at no time' => [['made_up' => ['2030-06-13' => 'Saturday']], 'made_up.2030-06-13', 'Y-m-d H:i'];
        yield 'a job without a name' => [['job' => 'soon'], 'job', 'ULID'];
    }

    /** @param  array<string, mixed>  $wishes */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_named_and_nothing_is_stored(array $wishes, string $field, string $said): void
    {
        $class = $this->sewingClass($this->teacher());
        $before = $this->getJson("/api/classes/{$class->id}/plan")->json();
        foreach (['lay-out', 'try'] as $how) {
            $this->assertProblem($this->lay($class, $wishes, $how), 422, $field, $said);
        }
        self::assertSame($before, $this->getJson("/api/classes/{$class->id}/plan")->json());
    }

    public function test_homework_moved_by_hand_stays_homework_or_comes_into_class(): void
    {
        $class = $this->sewingClass($this->teacher());
        $plan = $this->lay($class, ['home' => ['paper-drive']])->assertOk();
        $sessions = array_column((array) $plan->json('sessions'), 'lessons');
        $put = fn (array $body): TestResponse => $this->putJson("/api/classes/{$class->id}/plan", $body + ['version' => $this->getJson("/api/classes/{$class->id}/plan")->json('version')]);
        // Without a word of homework it stays where it is.
        $put(['sessions' => $sessions])->assertOk()->assertJsonPath('wishes.home', ['paper-drive'])->assertJsonPath('left', []);
        // Handed out too late, it is said.
        $late = $put(['sessions' => $sessions, 'home' => [[], [], [], [], [], ['paper-drive']]])->assertOk();
        self::assertStringContainsString('First seam stands on Paper drive', (string) $late->json('problems.0.text'));
        // Taken into class.
        $put(['sessions' => array_replace($sessions, [1 => ['paper-drive', ...$sessions[1]]])])->assertOk()->assertJsonPath('wishes.home', []);
        $this->assertProblem($put(['sessions' => $sessions, 'home' => [['guides'], [], [], [], [], []]]), 422, 'home.0.0', 'once');
    }

    public function test_each_day_says_what_must_stand_ready(): void
    {
        $class = $this->sewingClass($this->teacher(), array_map(fn (int $i): string => "Student $i", range(1, 10)));
        $days = (array) $this->getJson("/api/classes/{$class->id}/plan/needs")->assertOk()->assertJsonCount(6)->json();
        self::assertSame([1, 2, 3, 4, 5, 6], array_column($days, 'session'));
        $sewing = array_values(array_filter($days, fn (array $d): bool => $d['feet'] !== []));
        self::assertNotSame([], $sewing);
        self::assertSame(8, $sewing[0]['machines'], 'ten students at eight machines');
        self::assertSame(['title' => 'Standard', 'wanted' => 8, 'have' => 8], $sewing[0]['feet'][0]);
        self::assertStringContainsString(' m ', implode(' ', array_merge(...array_column($days, 'cloth'))));
    }

    public function test_a_course_is_estimated_before_there_is_a_class(): void
    {
        $this->actingAs($this->teacher());
        $ask = fn (array $with): TestResponse => $this->postJson('/api/plan/estimate', $with + ['students' => 10, 'helpers' => 0, 'machines' => 8, 'minutes' => 120, 'course' => 'first-steps']);
        $usual = (array) $ask([])->assertOk()->assertJsonPath('lessons', 8)->assertJsonPath('left', [])->json();
        self::assertSame([5, true], [$usual['sessions'], $usual['proven']]);
        self::assertLessThan($usual['minutes'], $ask(['home' => ['paper-drive']])->assertOk()->json('minutes'));
        self::assertLessThan($usual['sessions'], $ask(['minutes' => 240])->assertOk()->json('sessions'));
        self::assertGreaterThan($usual['sessions'], $ask(['pace' => 150])->assertOk()->json('sessions'));
        self::assertSame('Guides', $ask(['minutes' => 60])->assertOk()->json('longest.title'));
        self::assertContains('Guides', array_column((array) $ask(['minutes' => 60])->json('left'), 'title'));
        $this->assertProblem($ask(['students' => 0]), 422, 'students', 'at least 1');
        // Nothing of it is kept.
        $this->getJson('/api/machines')->assertExactJson([]);
        $this->getJson('/api/me')->assertJsonPath('classes', []);
    }

    public function test_last_term_s_course_is_copied(): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->lay($class, ['starts_on' => '2030-05-02', 'settle' => 20, 'home' => ['paper-drive'], 'not_before' => ['guides' => 4]])->assertOk();
        $plan = $this->getJson("/api/classes/{$class->id}/plan");
        // One lesson moved by hand: that is how it was taught.
        $sessions = array_column((array) $plan->json('sessions'), 'lessons');
        $sessions[5] = [...$sessions[5], array_pop($sessions[4]) ?? array_pop($sessions[3])];
        $this->putJson("/api/classes/{$class->id}/plan", ['version' => $plan->json('version'), 'sessions' => $sessions])->assertOk();
        $copy = fn (array $with): string => (string) $this->postJson('/api/classes', $with + ['name' => 'Again', 'students' => ['Una'], 'starts_on' => '2030-09-05', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120, 'helpers' => 1, 'machines' => 8, 'from' => $class->id, 'course' => 'first-steps'])->assertCreated()->json('id');
        $same = $this->getJson('/api/classes/'.$copy([]).'/plan')->assertJsonPath('wishes.settle', 20)->assertJsonPath('wishes.home', ['paper-drive'])->assertJsonPath('wishes.not_before', ['guides' => 4])->assertJsonPath('students', 1);
        self::assertSame($sessions, array_column((array) $same->json('sessions'), 'lessons'));
        self::assertStringStartsWith('2030-09-05', (string) $same->json('sessions.0.starts_at'));
        // With more sessions it is laid out anew, by the same wishes.
        $this->getJson('/api/classes/'.$copy(['sessions' => 8]).'/plan')->assertJsonCount(8, 'sessions')->assertJsonPath('wishes.home', ['paper-drive'])->assertJsonPath('problems', []);
        $this->actingAs($this->teacher('Stranger'))->postJson('/api/classes', ['name' => 'Spy', 'students' => ['Una'], 'starts_on' => '2030-09-05', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120, 'helpers' => 1, 'machines' => 8, 'from' => $class->id])->assertNotFound();
    }

    public function test_a_lesson_that_most_do_not_have_yet_comes_again(): void
    {
        $class = $this->sewingClass($this->teacher(), ['Ona', 'Pim', 'Rue']);
        $plan = $this->getJson("/api/classes/{$class->id}/plan");
        $sessions = [['first-seam', 'safe-seat'], ['length-ladder'], ['wind-and-thread', 'needle-and-foot'], ['paper-drive'], ['guides'], ['square-spiral']];
        $this->putJson("/api/classes/{$class->id}/plan", ['version' => $plan->json('version'), 'sessions' => $sessions])->assertOk();
        $bad = ['readings' => ['seam.allowance' => ['25', '9', '22', '8', '20'], 'seam.start-in' => ['0'], 'seam.back-start' => ['0'], 'seam.back-end' => ['0'], 'seam.pull' => ['0'], 'seam.tails-held' => ['0'], 'seam.highest' => ['0'], 'seam.tail' => ['5']]];
        foreach ([1 => [], 2 => $bad, 3 => $bad] as $seat => $but) {
            $this->postJson('/api/samples', $this->seam($class, $this->student($class, $seat), $but))->assertCreated();
        }
        $mended = $this->postJson("/api/classes/{$class->id}/plan/mend", ['version' => $this->getJson("/api/classes/{$class->id}/plan")->json('version')])->assertOk();
        self::assertIsBool($mended->json('fewest'));
        $after = $this->getJson("/api/classes/{$class->id}/plan");
        $after->assertJsonPath('sessions.0.lessons', []);
        $coming = array_merge(...array_slice(array_column((array) $after->json('sessions'), 'lessons'), 2));
        self::assertContains('first-seam', $coming, 'one of three has it');
        self::assertSame(['length-ladder'], $after->json('sessions.1.lessons'), 'the running session is left alone');
    }

    public function test_a_long_plan_says_how_far_it_is_and_can_be_stopped(): void
    {
        $class = $this->sewingClass($this->teacher());
        [$job, $other] = [strtolower((string) Str::ulid()), strtolower((string) Str::ulid())];
        $this->getJson("/api/jobs/$job")->assertOk()->assertExactJson(['done' => 0, 'of' => 0, 'found' => null]);
        // Stopped before it has looked far: a plan all the same, and nothing claimed that was not shown.
        $this->deleteJson("/api/jobs/$other")->assertNoContent();
        $this->lay($class, ['job' => $other])->assertOk()->assertJsonPath('left', [])->assertJsonPath('problems', []);
        $this->lay($class, ['job' => $job])->assertOk();
    }
}
