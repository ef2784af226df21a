<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanSession;
use App\Models\Sample;
use App\Models\SewingClass;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** The lists of a class out as tables and samples in; a calendar's own address. */
final class TableTest extends TestCase
{
    private SewingClass $class;

    private string $student;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
        $this->student = $this->student($this->class);
    }

    private function table(string $of): string
    {
        return (string) $this->get("/api/classes/{$this->class->id}/table?of=$of")->assertOk()->assertHeader('content-type', 'text/csv; charset=utf-8')->getContent();
    }

    /** @return TestResponse<Response> */
    private function import(string $table, bool $try = false): TestResponse
    {
        return $this->postJson("/api/classes/{$this->class->id}/samples", ['table' => $table, 'try' => $try]);
    }

    /** @return list<list<string|null>> */
    private static function rows(string $csv): array
    {
        return array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim($csv)));
    }

    public function test_samples_go_out_one_reading_a_line_and_come_in_as_they_were(): void
    {
        $this->postJson('/api/samples', $this->seam($this->class, $this->student))->assertCreated();
        $out = $this->table('samples');
        $rows = self::rows($out);
        self::assertSame(['sample', 'student', 'seat', 'session', 'date', 'lesson', 'title', 'reading', 'label', 'mark', 'value', 'unit', 'verdict'], $rows[0]);
        $readings = (int) DB::table('sample_readings')->count() + (int) DB::table('sample_faults')->count();
        self::assertCount(1 + $readings, $rows);
        // Back into the class it came from: all of it is known.
        $this->import($out)->assertOk()->assertJsonPath('new', 0)->assertJsonPath('samples', 1)->assertJsonPath('problems', []);
        // With another sample's name it is another piece with the same readings.
        $id = (string) Sample::query()->value('id');
        $this->import(str_replace($id, 'from the notebook', $out), try: true)->assertOk()->assertJsonPath('new', 1);
        self::assertSame(1, Sample::query()->count(), 'only tried');
        $this->import(str_replace($id, 'from the notebook', $out))->assertOk()->assertJsonPath('new', 1);
        $this->import(str_replace($id, 'from the notebook', $out))->assertOk()->assertJsonPath('new', 0);
        [$one, $two] = Sample::query()->with('readings')->orderBy('turn')->get()->all();
        $values = fn (Sample $s): array => $s->readings->sortBy(['reading', 'position'])->map(fn ($r): array => [$r->reading, $r->position, $r->value])->values()->all();
        self::assertSame($values($one), $values($two));
    }

    public function test_what_does_not_fit_is_said_with_its_line_and_nothing_is_kept(): void
    {
        $name = (string) DB::table('students')->where('id', $this->student)->value('name');
        $table = "student;session;lesson;reading;mark;value;unit\n"
            ."$name;1;First seam;seam.allowance;1;5/8;in\n"
            ."Nobody;1;First seam;seam.allowance;1;16;mm\n"
            ."$name;9;First seam;seam.allowance;1;16;mm\n"
            ."$name;1;Seem;seam.allowance;1;16;mm\n"
            ."$name;1;First seam;seam.nothing;1;16;mm\n"
            ."$name;1;First seam;seam.allowance;9;16;mm\n"
            ."$name;1;First seam;seam.allowance;2;16;count\n";
        $answer = $this->import($table)->assertOk()->assertJsonPath('new', 0);
        self::assertSame([[3, 'student'], [4, 'session'], [5, 'lesson'], [6, 'reading'], [7, 'mark'], [8, 'unit']], array_map(fn (array $p): array => [$p['line'], $p['field']], (array) $answer->json('problems')));
        self::assertSame(0, Sample::query()->count());
        $this->assertProblem($this->import("name,value\nx,1"), 422, 'table', 'missing: student, session, lesson, reading, unit');
    }

    public function test_every_list_goes_out_and_no_cell_is_a_formula(): void
    {
        DB::table('students')->where('id', $this->student)->update(['name' => '=1+1']);
        $students = self::rows($this->table('students'));
        self::assertSame(["'=1+1", 'name'], [$students[1][0], $students[0][0]]);
        self::assertSame(['student', 'seat', 'skill', 'title', 'level', 'known', 'showings'], self::rows($this->table('standings'))[0]);
        self::assertGreaterThan(3, count(self::rows($this->table('materials'))));
        $this->assertProblem($this->getJson("/api/classes/{$this->class->id}/table?of=secrets"), 422, 'of', 'students');
        $machines = self::rows((string) $this->get('/api/room/table?of=machines')->assertOk()->getContent());
        self::assertContains('plate_lines_mm', $machines[0]);
        self::assertSame('kind', self::rows((string) $this->get('/api/room/table?of=feet')->assertOk()->getContent())[0][0]);
    }

    public function test_a_calendar_follows_by_its_own_address_until_it_is_taken_back(): void
    {
        $address = (string) $this->postJson("/api/classes/{$this->class->id}/calendar")->assertCreated()->json('calendar');
        $this->postJson('/api/sign-out');
        $calendar = (string) $this->get("/api/calendar/$address")->assertOk()->getContent();
        self::assertSame(PlanSession::ofClass($this->class->id)->count(), substr_count($calendar, 'BEGIN:VEVENT'));
        self::assertStringNotContainsString((string) DB::table('students')->where('id', $this->student)->value('name'), $calendar);
        $this->actingAs(\App\Models\User::query()->where('studio_id', $this->class->studio_id)->firstOrFail());
        $this->deleteJson("/api/classes/{$this->class->id}/calendar")->assertNoContent();
        $this->get("/api/calendar/$address")->assertNotFound();
        $this->get('/api/calendar/'.str_repeat('a', 40))->assertNotFound();
    }
}
