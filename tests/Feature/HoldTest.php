<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Support\Clock;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** A session begins and ends when somebody says so; the plan keeps its hours. */
final class HoldTest extends TestCase
{
    private SewingClass $class;

    private PlanSession $session;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
        $this->session = PlanSession::ofClass($this->class->id)->get()[1] ?? self::fail('no second session');
        Clock::fix($this->session->starts_at->addMinutes(20));
    }

    /** @return TestResponse<Response> */
    private function today(): TestResponse
    {
        return $this->getJson("/api/classes/{$this->class->id}/today")->assertOk();
    }

    /** @return TestResponse<Response> */
    private function start(): TestResponse
    {
        return $this->postJson("/api/classes/{$this->class->id}/bench/start", ['version' => (int) $this->today()->json('session.bench_version')]);
    }

    public function test_a_late_start_says_what_is_left_and_the_end_stays(): void
    {
        $end = $this->session->endsAt()->toIso8601ZuluString();
        $this->today()->assertJsonPath('session.beginning.kind', 'late')->assertJsonPath('session.beginning.by', 20)->assertJsonPath('session.beginning.left', $this->session->minutes - 20)->assertJsonPath('session.beginning.ends_at', $end);
        $this->start()->assertOk();
        $this->today()->assertJsonPath('session.beginning', null)->assertJsonPath('session.ends_at', $end)->assertJsonPath('session.begun_at', $this->session->starts_at->addMinutes(20)->toIso8601ZuluString());
    }

    public function test_who_looks_at_a_sample_has_begun(): void
    {
        $this->postJson('/api/samples', $this->seam($this->class, $this->student($this->class)))->assertCreated();
        $this->today()->assertJsonPath('session.beginning', null)->assertJsonPath('session.begun_at', null);
    }

    public function test_begun_days_ahead_it_is_held_then_and_the_plan_keeps_its_hour(): void
    {
        $now = $this->session->starts_at->subDays(2);
        Clock::fix($now);
        $this->today()->assertJsonPath('session.state', 'before')->assertJsonPath('session.beginning.kind', 'moved');
        $this->start()->assertOk();
        $this->today()->assertJsonPath('session.state', 'running')->assertJsonPath('session.starts_at', $now->toIso8601ZuluString())->assertJsonPath('session.ends_at', $now->addMinutes($this->session->minutes)->toIso8601ZuluString());
        self::assertTrue($this->session->refresh()->starts_at->equalTo($now->addDays(2)));
        $body = $this->seam($this->class, $this->student($this->class));
        // Taken back while nobody has sewn in it; afterwards not.
        $this->deleteJson("/api/classes/{$this->class->id}/sessions/{$this->session->id}/begin")->assertOk()->assertJsonPath('session.state', 'before');
        $this->start()->assertOk();
        $this->postJson('/api/samples', $body)->assertCreated();
        $this->assertDatabaseHas('samples', ['id' => $body['id'], 'plan_session_id' => $this->session->id]);
        $this->deleteJson("/api/classes/{$this->class->id}/sessions/{$this->session->id}/begin")->assertStatus(422)->assertSee('it has begun');
    }

    public function test_it_ends_before_its_hour_and_goes_on_after_all(): void
    {
        $of = "/api/classes/{$this->class->id}/sessions/{$this->session->id}";
        $this->putJson("$of/end")->assertOk()->assertJsonPath('session.state', 'after')->assertJsonPath('session.ended', true)->assertJsonPath('session.ends_at', $this->session->starts_at->addMinutes(20)->toIso8601ZuluString());
        // What is found in the basket afterwards belongs to it still.
        Clock::fix($this->session->starts_at->addMinutes(50));
        $body = $this->seam($this->class, $this->student($this->class));
        $this->postJson('/api/samples', $body)->assertCreated();
        $this->assertDatabaseHas('samples', ['id' => $body['id'], 'plan_session_id' => $this->session->id]);
        $this->deleteJson("$of/end")->assertOk()->assertJsonPath('session.state', 'running')->assertJsonPath('session.ended', false);
        $this->putJson("$of/end")->assertOk();
        // An hour and a half later another one is in hand, and this one is no longer opened by a late finger.
        Clock::fix($this->session->starts_at->addMinutes(50 + 90));
        $this->today()->assertJsonPath('session.number', 3);
        $this->deleteJson("$of/end")->assertStatus(422)->assertSee('long over');
    }

    public function test_a_session_of_another_day_or_another_class_is_not_ended(): void
    {
        $next = PlanSession::ofClass($this->class->id)->skip(2)->firstOrFail();
        $this->putJson("/api/classes/{$this->class->id}/sessions/{$next->id}/end")->assertStatus(422)->assertSee('has not begun');
        $first = PlanSession::ofClass($this->class->id)->firstOrFail();
        $this->putJson("/api/classes/{$this->class->id}/sessions/{$first->id}/end")->assertStatus(422)->assertSee('over already');
        $other = PlanSession::ofClass($this->sewingClass($this->teacher())->id)->firstOrFail();
        $this->putJson("/api/classes/{$this->class->id}/sessions/{$other->id}/end")->assertNotFound();
    }
}
