<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\LessonAssignment;
use App\Models\PlanSession;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Models\User;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use Tests\TestCase;

/** Samples that are sent later than they were looked at: from a device that had no line, or from paper. */
final class LateSampleTest extends TestCase
{
    private SewingClass $class;

    private string $student;

    /** @var list<string> ids of its sessions */
    private array $sessions;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
        $this->student = $this->student($this->class);
        $this->sessions = PlanSession::ofClass($this->class->id)->get()->map(fn (PlanSession $s): string => $s->id)->values()->all();
    }

    /** @param  array<string, mixed>  $but */
    private function keep(array $but = []): Sample
    {
        $body = $this->seam($this->class, $this->student, $but);
        $this->postJson('/api/samples', $body)->assertCreated();

        return Sample::query()->findOrFail($body['id']);
    }

    /** @return list<string> when each counts, in the order they count */
    private function order(): array
    {
        return array_values(Sample::inOrder([$this->student])->get()->map(fn (Sample $s): string => $s->kept_at->format('d H:i'))->all());
    }

    public function test_what_waited_on_a_device_counts_from_when_it_was_looked_at(): void
    {
        $late = $this->keep(['sewn_at' => '2030-05-09T18:40:00Z']);
        self::assertSame(['2030-05-09 18:40', $this->sessions[1]], [$late->kept_at->format('Y-m-d H:i'), $late->plan_session_id]);
        // From the second device, looked at before that and sent after it.
        $this->keep(['sewn_at' => '2030-05-09T18:35:00.250Z']);
        $this->keep();
        self::assertSame(['09 18:35', '09 18:40', '09 19:00'], $this->order());
        // Kept samples are never written over: the late ones stand after what was kept before them, here nothing.
        self::assertSame([[0, true], [0, true], [1, false]], Sample::inOrder([$this->student])->get()->map(fn (Sample $s): array => [$s->turn, $s->late])->all());
    }

    public function test_a_device_whose_clock_goes_ahead_is_held_to_ours(): void
    {
        self::assertSame('2030-05-09 19:00', $this->keep(['sewn_at' => '2030-05-09T23:00:00Z'])->kept_at->format('Y-m-d H:i'));
    }

    public function test_what_is_caught_up_stands_where_it_was_sewn_and_a_rebuild_changes_nothing(): void
    {
        $this->keep(['lesson' => 'safe-seat', 'readings' => ['habits.fingers' => ['1']]]);
        $given = LessonAssignment::query()->where('student_id', $this->student)->count();
        $first = $this->keep(['session' => $this->sessions[0]]);
        self::assertSame([$this->sessions[0], '02 20:30'], [$first->plan_session_id, $first->kept_at->format('d H:i')]);
        self::assertSame(['02 20:30', '09 19:00'], $this->order());
        // What was given after the later one stays what was given; nothing is given twice.
        self::assertSame($given, LessonAssignment::query()->where('student_id', $this->student)->count());
        $known = fn (): array => SkillStanding::query()->where('student_id', $this->student)->orderBy('skill')->get(['skill', 'known', 'showings', 'last_shown_at'])->toArray();
        $before = $known();
        $this->artisan('seam:rebuild-standings')->assertSuccessful();
        self::assertSame($before, $known());
        // A correction of it keeps its place and its session.
        $put = $this->keep(['replaces' => $first->id, 'readings' => ['seam.allowance' => ['16', '16', '16', '16', '16']]]);
        self::assertSame($this->sessions[0], $put->plan_session_id);
        $this->artisan('seam:rebuild-standings')->assertSuccessful();
    }

    public function test_it_is_the_same_as_if_it_had_been_kept_then(): void
    {
        $lessons = [['lesson' => 'safe-seat', 'readings' => ['habits.fingers' => ['1']]], [], ['readings' => ['seam.allowance' => ['13', '14', '15', '16', '17']]]];
        $at = ['2030-05-02T18:40:00Z', '2030-05-02T19:40:00Z', '2030-05-09T18:40:00Z'];
        $standings = fn (string $student): array => SkillStanding::query()->where('student_id', $student)->orderBy('skill')->get(['skill', 'known', 'showings', 'last_shown_at'])->toArray();
        foreach ([0, 1, 2] as $i) {
            Clock::fix(CarbonImmutable::parse($at[$i]));
            $this->keep($lessons[$i]);
        }
        $then = $standings($this->student);
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC'));
        $this->student = $this->student($this->class, 2);
        foreach ([2, 0, 1] as $i) {
            $this->keep(['sewn_at' => $at[$i]] + $lessons[$i]);
        }
        self::assertEquals($then, $standings($this->student));
    }

    public function test_the_sheet_names_the_sessions_it_may_have_been_sewn_in(): void
    {
        $this->getJson("/api/classes/{$this->class->id}/students/$this->student/look")->assertOk()->assertJsonCount(2, 'sessions')
            ->assertJsonPath('sessions.0', ['id' => $this->sessions[1], 'number' => 2, 'starts_at' => '2030-05-09T18:30:00Z'])->assertJsonPath('sessions.1.id', $this->sessions[0]);
    }

    public function test_what_cannot_be_is_refused_by_name(): void
    {
        $mine = User::query()->where('studio_id', $this->class->studio_id)->firstOrFail();
        $other = $this->sewingClass($this->teacher('Another room'));
        $this->actingAs($mine);
        foreach ([
            ['session', ['session' => PlanSession::ofClass($other->id)->firstOrFail()->id], 'no such session'],
            ['session', ['session' => $this->sessions[3]], 'not begun'],
            ['sewn_at', ['sewn_at' => '2020-01-01T00:00:00Z'], '400 days'],
            ['sewn_at', ['sewn_at' => 'yesterday'], 'must be written as'],
        ] as [$field, $but, $said]) {
            $this->assertProblem($this->postJson('/api/samples', $this->seam($this->class, $this->student, $but)), 422, $field, $said);
        }
        self::assertSame(0, Sample::query()->where('student_id', $this->student)->count());
    }

    /** Sent again under its id it is one sample, also when another came between. */
    public function test_sent_twice_it_is_once(): void
    {
        $body = $this->seam($this->class, $this->student, ['sewn_at' => '2030-05-09T18:40:00Z']);
        $this->postJson('/api/samples', $body)->assertCreated();
        $this->keep();
        $this->postJson('/api/samples', $body)->assertCreated();
        self::assertSame(['09 18:40', '09 19:00'], $this->order());
    }

    public function test_what_is_kept_of_a_session_that_is_over_stands_beside_everybody(): void
    {
        $sample = $this->keep(['session' => $this->sessions[0]]);
        $all = $this->getJson("/api/classes/{$this->class->id}/sessions/{$this->sessions[0]}/samples")->assertOk();
        $mine = array_column((array) $all->json(), null, 'student')[$this->student];
        self::assertSame([$sample->id, 'first-seam'], [$mine['samples'][0]['sample'], $mine['samples'][0]['lesson']]);
        self::assertSame([], array_merge([], ...array_column((array) $this->getJson("/api/classes/{$this->class->id}/sessions/{$this->sessions[1]}/samples")->json(), 'samples')));
        $other = PlanSession::ofClass($this->sewingClass($this->teacher())->id)->firstOrFail();
        $this->getJson("/api/classes/{$this->class->id}/sessions/{$other->id}/samples")->assertNotFound();
    }
}
