<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\User;
use App\Records\MachineCare;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What is due on machines, worked out from what was sewn and what was done; common practice, no source. */
final class CareTest extends TestCase
{
    private SewingClass $class;

    private string $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
        $this->machine = (string) Enrolment::query()->where('seat', 1)->firstOrFail()->machine_id;
    }

    private function care(): MachineCare
    {
        return MachineCare::of(RoomInventory::read()->machines, app(Shelf::class));
    }

    private function done(string $kind, string $note = ''): void
    {
        $this->postJson("/api/machines/{$this->machine}/service", ['kind' => $kind, 'note' => $note])->assertNoContent();
    }

    private function at(string $time): void
    {
        Clock::fix(CarbonImmutable::parse($time, 'UTC'));
    }

    public function test_a_needle_is_due_after_eight_hours_of_sewing(): void
    {
        $student = $this->student($this->class);
        // Square spiral: 12 minutes of sewing; 39 of them are 7.8 hours, 40 are 8.
        for ($i = 0; $i < 40; $i++) {
            $this->at("2030-05-09 19:00:$i");
            $sample = $this->seam($this->class, $student, ['lesson' => 'square-spiral', 'readings' => ['spiral.needle-down' => ['1']]]);
            $this->postJson('/api/samples', $sample)->assertCreated();
            if ($i === 38) {
                self::assertEqualsWithDelta(7.8, $this->care()->needleHours($this->machine), 0.01);
                self::assertSame([], $this->care()->due($this->machine));
            }
        }
        self::assertEqualsWithDelta(8.0, $this->care()->needleHours($this->machine), 0.01);
        self::assertStringContainsString('A new needle: about 8 hours', $this->care()->due($this->machine)[0]);
        $this->at('2030-05-09 20:00');
        $this->done('needle');
        self::assertSame([], $this->care()->due($this->machine));
        self::assertSame(0.0, $this->care()->needleHours($this->machine));
    }

    public function test_cleaning_is_due_after_four_weeks_and_only_where_it_was_ever_noted(): void
    {
        self::assertSame([], $this->care()->due($this->machine));
        $this->done('clean');
        $this->at('2030-06-06 18:59');
        self::assertSame([], $this->care()->due($this->machine));
        $this->at('2030-06-06 19:01');
        self::assertSame(['Clean it: the last time was 4 weeks ago.'], $this->care()->due($this->machine));
    }

    public function test_the_log_is_newest_first_and_says_why(): void
    {
        foreach (['needle' => '18:00', 'clean' => '18:10', 'out-of-use' => '18:20', 'in-use' => '18:30', 'service' => '18:40'] as $kind => $time) {
            $this->at("2030-05-09 $time");
            $this->done($kind, $kind === 'out-of-use' ? 'needle bar loose' : '');
        }
        $log = $this->care()->log($this->machine);
        self::assertSame(['service', 'in-use', 'out-of-use', 'clean', 'needle'], array_map(fn ($e): string => $e->kind, $log));
        self::assertSame('needle bar loose', $log[2]->note);
        self::assertSame('18:00', $this->care()->last($this->machine, 'needle')?->format('H:i'));
        self::assertNull($this->care()->last($this->machine, 'unknown'));
    }

    public function test_lessons_without_a_machine_wear_no_needle(): void
    {
        $student = $this->student($this->class);
        $this->postJson('/api/samples', $this->seam($this->class, $student, ['lesson' => 'safe-seat', 'readings' => ['habits.fingers' => ['1']]]))->assertCreated();
        self::assertSame(0.0, $this->care()->needleHours($this->machine));
    }

    public function test_another_rooms_machines_are_not_touched(): void
    {
        $other = $this->teacher('Next door');
        $before = DB::table('service_entries')->count();
        $this->actingAs($other)->postJson("/api/machines/{$this->machine}/service", ['kind' => 'clean', 'note' => ''])->assertNotFound();
        $this->actingAs($other)->deleteJson("/api/machines/{$this->machine}?sure=1")->assertNotFound();
        self::assertSame($before, DB::table('service_entries')->count());
        $this->actingAs($other)->postJson('/api/machines/none/service', ['kind' => 'polish', 'note' => ''])->assertNotFound();
        $own = User::query()->where('studio_id', $this->class->studio_id)->firstOrFail();
        $this->assertProblem($this->actingAs($own)->postJson("/api/machines/{$this->machine}/service", ['kind' => 'polish', 'note' => '']), 422, 'kind', 'needle');
    }
}
