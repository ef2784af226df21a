<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Reader;
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
        $moved = [[], [], ['first-seam', 'safe-seat', 'wind-and-thread', 'needle-and-foot', 'paper-drive'], ['length-ladder'], ['guides'], ['square-spiral']];
        $answer = $this->putJson("/api/classes/{$class->id}/plan", ['version' => $version, 'sessions' => $moved])->assertOk()->assertJsonPath('version', $version + 1);
        $said = implode(' ', array_column((array) $answer->json('problems'), 'text'));
        self::assertStringContainsString('First seam stands on Paper drive', $said);
        self::assertStringContainsString('Session 3 runs', $said);
        // What is over is nobody's worry any more.
        $this->putJson("/api/classes/{$class->id}/plan", ['version' => $version + 1, 'sessions' => [['safe-seat', 'wind-and-thread', 'needle-and-foot', 'paper-drive', 'first-seam'], [], ['length-ladder'], ['guides'], ['square-spiral'], []]])->assertOk()->assertJsonPath('problems', []);
    }

    public function test_laying_out_says_how_few_sessions_there_can_be_and_why(): void
    {
        $class = $this->sewingClass($this->teacher(), array_map(fn (int $i): string => "Student $i", range(1, 10)));
        $plan = $this->getJson("/api/classes/{$class->id}/plan")->assertOk()->assertJsonPath('proof.proven', true);
        $used = array_sum(array_column((array) $plan->json('lessons'), 'minutes'));
        self::assertSame($plan->json('proof.lower_bound'), $plan->json('proof.count'));
        self::assertGreaterThanOrEqual((int) ceil($used / 105), $plan->json('proof.count'));
        self::assertStringContainsString('fewer cannot be', (string) $plan->json('proof.text'));
        self::assertCount(8, (array) $plan->json('proof.reasons'));
        self::assertSame('Nothing it needs keeps it back: it stands in the first session.', $plan->json('proof.reasons.safe-seat'));
        // Moved by hand, it is the teacher's plan, and nothing is claimed of it.
        $this->putJson("/api/classes/{$class->id}/plan", ['version' => $this->version($class), 'sessions' => [['safe-seat'], [], [], [], [], []]])->assertOk()->assertJsonPath('proof', null);
    }

    public function test_a_pinned_lesson_stays_where_it_is_and_pins_that_clash_are_named(): void
    {
        $class = $this->sewingClass($this->teacher());
        $lay = fn (array $pins) => $this->postJson("/api/classes/{$class->id}/plan/lay-out", ['version' => $this->version($class), 'starts_on' => '2030-05-02', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120, 'pins' => $pins]);
        $plan = $lay(['guides' => 6])->assertOk()->assertJsonPath('pins', [['lesson' => 'guides', 'session' => 6]])->assertJsonPath('problems', [])->assertJsonPath('left', []);
        self::assertContains('guides', (array) $plan->json('sessions.5.lessons'));
        self::assertSame('You pinned it here.', $plan->json('proof.reasons.guides'));
        $before = $this->version($class);
        $this->assertProblem($lay(['first-seam' => 1, 'safe-seat' => 2]), 422, 'pins', '“First seam” in session 1');
        $this->assertProblem($lay(['juggling' => 1]), 422, 'pins', 'lesson of the course');
        $this->assertProblem($lay(['guides' => 9]), 422, 'pins.guides', 'sessions 1 to 6');
        self::assertSame($before, $this->version($class), 'nothing is stored');
        // Kept with a plan laid by hand as well, and taken off again.
        $this->putJson("/api/classes/{$class->id}/plan", ['version' => $before, 'sessions' => [[], [], [], [], [], []], 'pins' => ['guides' => 2]])->assertOk()->assertJsonPath('pins.0.session', 2);
        $lay([])->assertOk()->assertJsonPath('pins', []);
    }

    public function test_a_plan_is_mended_from_what_was_really_taught(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $this->putJson("/api/classes/{$class->id}/plan", ['version' => $this->version($class), 'sessions' => [['safe-seat', 'wind-and-thread', 'needle-and-foot', 'first-seam'], ['paper-drive'], ['length-ladder'], ['guides'], ['square-spiral'], []]])->assertOk();
        // Of the first session only the seam was looked at; the second is running.
        $this->postJson('/api/samples', $this->seam($class, $student))->assertCreated();
        $mended = $this->postJson("/api/classes/{$class->id}/plan/mend", ['version' => $this->version($class)])->assertOk();
        $plan = $this->getJson("/api/classes/{$class->id}/plan")->assertOk();
        $plan->assertJsonPath('sessions.0.lessons', ['first-seam'])->assertJsonPath('sessions.1.lessons', ['paper-drive'])->assertJsonPath('left', []);
        self::assertContains('safe-seat', (array) $plan->json('sessions.2.lessons'));
        $stand = array_merge(...array_map(fn (array $s): array => $s['lessons'], array_slice((array) $plan->json('sessions'), 2)));
        self::assertEqualsCanonicalizing(['safe-seat', 'wind-and-thread', 'needle-and-foot', 'length-ladder', 'guides', 'square-spiral'], $stand);
        self::assertLessThanOrEqual(3, count((array) $mended->json('moved')));
        // Laid out anew, what was taught stays as well, and the proof speaks of the rest.
        $laid = $this->postJson("/api/classes/{$class->id}/plan/lay-out", ['version' => $this->version($class), 'starts_on' => '2030-05-02', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120])->assertOk();
        $laid->assertJsonPath('sessions.0.lessons', ['first-seam'])->assertJsonPath('sessions.1.lessons', ['paper-drive']);
        self::assertStringStartsWith('For what is still to come: ', (string) $laid->json('proof.text'));
        $this->assertProblem($this->postJson("/api/classes/{$class->id}/plan/mend", ['version' => 1]), 409, 'version', 'changed meanwhile');
    }

    public function test_the_forecast_says_who_finishes_and_what_takes_longest(): void
    {
        $class = $this->sewingClass($this->teacher());
        $forecast = fn () => $this->getJson("/api/classes/{$class->id}/forecast")->assertOk()->assertJsonPath('lessons', 8);
        $before = (array) $forecast()->json('students.0');
        self::assertSame([0, 8], [$before['done'], $before['left']]);
        self::assertGreaterThan(0.0, $before['chance']);
        self::assertLessThan(1.0, $before['chance']);
        // The first session is over; the second has run for half an hour.
        self::assertSame([2, 3, 4, 5, 6], array_column((array) $forecast()->json('sessions'), 'number'));
        foreach ((array) $forecast()->json('sessions') as $s) {
            self::assertTrue($s['low'] <= $s['middle'] && $s['middle'] <= $s['high'] && $s['high'] <= $s['samples'], 'nobody does a lesson without a sample');
        }
        self::assertStringContainsString('3 students still have it', (string) $forecast()->json('stall'));
        $this->postJson('/api/samples', $this->seam($class, $this->student($class)))->assertCreated();
        $after = (array) $forecast()->json('students.0');
        self::assertSame([1, 7], [$after['done'], $after['left']]);
        self::assertGreaterThan($before['chance'], $after['chance']);
        self::assertLessThan($before['samples'], $after['samples']);
    }

    public function test_a_closed_day_moves_the_sessions_on(): void
    {
        $this->actingAs($this->teacher());
        $body = ['name' => 'Thursday', 'students' => ['Ona'], 'starts_on' => '2030-05-02', 'time' => '18:30', 'sessions' => 4, 'minutes' => 120, 'helpers' => 0, 'machines' => 4];
        $id = (string) $this->postJson('/api/classes', $body + ['began' => true, 'closed' => ['2030-05-09', '2030-05-10']])->assertCreated()->json('id');
        $days = fn (): array => array_map(fn (string $at): string => substr($at, 0, 10), array_column((array) $this->getJson("/api/classes/$id/plan")->json('sessions'), 'starts_at'));
        self::assertSame(['2030-05-02', '2030-05-16', '2030-05-23', '2030-05-30'], $days());
        $this->getJson("/api/classes/$id/plan")->assertJsonPath('closed', ['2030-05-09', '2030-05-10']);
        $version = $this->getJson("/api/classes/$id/plan")->json('version');
        $this->postJson("/api/classes/$id/plan/lay-out", ['version' => $version, 'closed' => []] + array_intersect_key($body, ['starts_on' => 1, 'time' => 1, 'sessions' => 1, 'minutes' => 1]))->assertOk();
        self::assertSame(['2030-05-02', '2030-05-09', '2030-05-16', '2030-05-23'], $days());
        $this->assertProblem($this->postJson('/api/classes', $body + ['closed' => ['Christmas']]), 422, 'closed.0', 'Y-m-d');
    }

    /** Read back by the library's own parser, and line by line: RFC 5545, 3.1 (CRLF, 75 octets) and 3.3.11 (escapes). */
    public function test_the_plan_goes_into_a_calendar(): void
    {
        $class = $this->sewingClass($this->teacher(), ['Ottilie']);
        $class->update(['name' => 'Kids, teens; and “grown-ups” who have never sewn a seam in all their lives']);
        $read = fn () => (string) $this->get("/api/classes/{$class->id}/plan/export?as=calendar")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
        $text = $read();
        self::assertSame(substr_count($text, "\n"), substr_count($text, "\r\n"));
        foreach (explode("\r\n", rtrim($text)) as $line) {
            self::assertLessThanOrEqual(75, strlen($line), $line);
        }
        self::assertStringContainsString('Kids\\, teens\\; and', str_replace("\r\n ", '', $text));
        self::assertStringNotContainsString('Ottilie', $text);
        $calendar = Reader::read($text);
        self::assertSame([], $calendar->validate());
        $events = iterator_to_array($calendar->select('VEVENT') ?: [], false);
        self::assertCount(6, $events);
        self::assertSame('20300502T183000Z', (string) $events[0]->DTSTART);
        self::assertSame('20300502T203000Z', (string) $events[0]->DTEND);
        self::assertStringContainsString('Safe seat', (string) $events[0]->DESCRIPTION);
        $uids = array_map(fn ($e): string => (string) $e->UID, $events);
        self::assertCount(6, array_unique($uids));
        // Moved to another day: the same events, a higher sequence.
        $this->postJson("/api/classes/{$class->id}/plan/lay-out", ['version' => $this->version($class), 'starts_on' => '2030-05-03', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120])->assertOk();
        $moved = iterator_to_array(Reader::read($read())->select('VEVENT') ?: [], false);
        self::assertSame($uids, array_map(fn ($e): string => (string) $e->UID, $moved));
        self::assertGreaterThan((int) (string) $events[0]->SEQUENCE, (int) (string) $moved[0]->SEQUENCE);
        self::assertSame('20300503T183000Z', (string) $moved[0]->DTSTART);
    }

    public function test_the_plan_goes_into_a_table_and_into_a_bundle(): void
    {
        $class = $this->sewingClass($this->teacher());
        $text = (string) $this->get("/api/classes/{$class->id}/plan/export?as=table")->assertOk()->getContent();
        $lines = array_map(fn (string $l): array => str_getcsv($l, escape: ''), explode("\r\n", rtrim($text)));
        self::assertSame(['session', 'date', 'begins', 'ends', 'lesson', 'minutes', 'rounds', 'foot'], $lines[0]);
        self::assertSame(['1', '2030-05-02', '18:30', '20:30', 'Safe seat'], array_slice($lines[1], 0, 5));
        self::assertEqualsCanonicalizing(array_column((array) $this->getJson("/api/classes/{$class->id}/plan")->json('lessons'), 'title'), array_values(array_filter(array_column(array_slice($lines, 1), 4))));
        $bundle = (array) json_decode((string) $this->get("/api/classes/{$class->id}/plan/export?as=bundle")->assertOk()->getContent(), true);
        self::assertSame('First steps, as planned', data_get($bundle, 'courses.0.title'));
        $this->postJson('/api/shelf/compare', ['bundle' => $bundle])->assertOk()->assertJsonCount(1, 'changes')->assertJsonPath('changes.0.part', 'course');
        $this->assertProblem($this->getJson("/api/classes/{$class->id}/plan/export?as=song"), 422, 'as', 'calendar, table, bundle');
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
        $read = $this->getJson("/api/classes/{$class->id}")->assertOk()->assertJsonCount(62, 'skills');
        $at = array_search('secure-ends', array_column((array) $read->json('skills'), 'id'), true);
        $read->assertJsonPath("students.0.levels.$at", 'coming')->assertJsonPath("students.1.levels.$at", 'not-tried');
        $this->getJson("/api/classes/{$class->id}/students/$student/skills/secure-ends")->assertOk()->assertJsonPath('level', 'coming')
            ->assertJsonCount(3, 'showings.0.checks')->assertJsonPath('showings.0.settings.0', ['name' => 'tension', 'value' => '4']);
        $this->assertProblem($this->getJson("/api/classes/{$class->id}/students/$student/skills/juggling"), 422, 'skill', 'no such skill');
        $this->postJson("/api/classes/{$class->id}/students", ['students' => ['Sol']])->assertNoContent();
        $this->getJson("/api/classes/{$class->id}")->assertJsonCount(4, 'students');
        $found = collect((array) $this->getJson('/api/find')->assertOk()->json());
        self::assertStringContainsString('seat', $found->firstWhere('title', 'Sol')['detail'] ?? '');
        self::assertSame('/samplers/square-spiral', $found->firstWhere('title', 'Square spiral')['address'] ?? null);
        // Every kind there is has a name to be found by.
        self::assertSame(['class', 'fault', 'foot', 'lesson', 'machine', 'skill', 'student'], $found->pluck('kind')->unique()->sort()->values()->all());
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

    /** The plan says what the forecast says: with time for eight in ten, eight in ten are forecast to be done. */
    public function test_a_plan_with_time_to_sew_again_agrees_with_its_forecast(): void
    {
        $class = $this->sewingClass($this->teacher());
        $chance = fn (): float => array_sum($all = array_column((array) $this->getJson("/api/classes/{$class->id}/forecast")->assertOk()->json('students'), 'chance')) / max(1, count($all));
        $costs = (array) $this->getJson("/api/classes/{$class->id}/plan/costs")->assertOk()->assertJsonCount(2)->assertJsonPath('0.sure', null)->assertJsonPath('1.sure', 0.8)->json();
        self::assertGreaterThan($costs[0]['sessions'], $costs[1]['sessions']);
        self::assertGreaterThan(8, $costs[1]['samples']);
        $lay = function (?float $sure, int $sessions) use ($class): TestResponse {
            $plan = $this->getJson("/api/classes/{$class->id}/plan")->assertOk();

            return $this->postJson("/api/classes/{$class->id}/plan/lay-out", ['sure' => $sure, 'sessions' => $sessions, 'version' => $plan->json('version')] + (array) $plan->json('wishes'))->assertOk();
        };
        $lay(null, (int) $costs[0]['sessions'])->assertJsonPath('wishes.sure', null)->assertJsonPath('lessons.0.again', 0);
        self::assertLessThan(0.5, $chance(), 'one sample each is not enough for most');
        $plan = $lay(0.8, (int) $costs[1]['sessions'])->assertJsonPath('wishes.sure', 0.8)->assertJsonPath('left', [])->assertJsonPath('problems', []);
        self::assertGreaterThan(0, array_sum(array_column((array) $plan->json('lessons'), 'again')));
        self::assertGreaterThanOrEqual(0.8, $chance());
        // Fewer dates than that, and what has none is said.
        self::assertNotSame([], $lay(0.8, 2)->json('left'));
        // Any share; a share that is none is refused and changes nothing.
        self::assertGreaterThan($costs[1]['samples'], $lay(0.95, 12)->json('wishes.sure') === 0.95 ? $this->getJson("/api/classes/{$class->id}/plan/costs")->json('1.samples') : 0);
        $version = $this->getJson("/api/classes/{$class->id}/plan")->json('version');
        foreach ([0.2, 1.5, 'most'] as $nonsense) {
            $this->assertProblem($this->postJson("/api/classes/{$class->id}/plan/lay-out", ['sure' => $nonsense, 'version' => $version] + (array) $this->getJson("/api/classes/{$class->id}/plan")->json('wishes')), 422, 'sure', '');
        }
        self::assertSame($version, $this->getJson("/api/classes/{$class->id}/plan")->json('version'));
        // What was moved by hand keeps its minutes.
        $sessions = array_column((array) $this->getJson("/api/classes/{$class->id}/plan")->json('sessions'), 'lessons');
        $this->putJson("/api/classes/{$class->id}/plan", ['sessions' => $sessions, 'version' => $version])->assertOk()->assertJsonPath('wishes.sure', 0.95);
    }

    public function test_a_class_taught_again_begins_with_the_whole_course(): void
    {
        $class = $this->sewingClass($this->teacher());
        $plan = $this->getJson("/api/classes/{$class->id}/plan")->assertOk();
        // Lessons were taken off last term's plan by hand: they had no session any more.
        $sessions = array_column((array) $plan->json('sessions'), 'lessons');
        $sessions[count($sessions) - 1] = $sessions[0] = [];
        $this->putJson("/api/classes/{$class->id}/plan", ['sessions' => $sessions, 'version' => $plan->json('version')])->assertOk();
        $id = (string) $this->postJson('/api/classes', ['name' => 'Next term', 'course' => $class->course, 'from' => $class->id, 'students' => ['Ona'], 'starts_on' => '2031-05-01', 'time' => '18:30', 'sessions' => count($sessions), 'minutes' => 120, 'helpers' => 0, 'machines' => 3])->assertCreated()->json('id');
        $this->getJson("/api/classes/$id/plan")->assertOk()->assertJsonPath('left', [])->assertJsonPath('problems', []);
    }
}
