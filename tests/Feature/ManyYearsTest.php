<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Console\Grow;
use App\Models\Enrolment;
use App\Models\Machine;
use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Models\User;
use App\Places\Studio\Housekeeping;
use App\Records\MachineCare;
use App\Records\RebuildStandings;
use App\Records\Shelf;
use App\Support\CurrentStudio;
use Tests\TestCase;

/** What a studio sewed long ago is kept, and is not gone through each time. */
final class ManyYearsTest extends TestCase
{
    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        // Two classes a year, the last one half a year ago.
        app(Grow::class)->studio(0, 'calico madder chalk', 2, 6, 10);
        $this->user = User::query()->where('email', Grow::email(0))->firstOrFail();
    }

    /** @return list<SewingClass> oldest first */
    private function classes(): array
    {
        return array_values(SewingClass::query()->where('studio_id', $this->user->studio_id)->orderByRaw('archived_at IS NULL, archived_at')->get()->all());
    }

    public function test_standings_of_a_class_that_was_put_away_are_worked_out_when_it_is_taken_out_again(): void
    {
        $old = $this->classes()[0];
        $of = fn (): int => SkillStanding::query()->where('class_id', $old->id)->count();
        self::assertSame(0, $of(), 'nobody is taught by them');
        app(CurrentStudio::class)->everywhere(fn (): int => app(RebuildStandings::class)());
        self::assertSame(0, $of());
        $this->actingAs($this->user)->deleteJson("/api/classes/$old->id/archive")->assertSuccessful();
        self::assertGreaterThan(3, $of());
        // Stored or worked out, they are the same to whoever looks.
        $student = (string) Enrolment::query()->where('class_id', $old->id)->orderBy('seat')->value('student_id');
        $seen = fn (): array => [$this->actingAs($this->user)->getJson("/api/classes/$old->id")->assertOk()->json(), $this->getJson("/api/classes/$old->id/students/$student")->assertOk()->json()];
        $before = SkillStanding::query()->where('class_id', $old->id)->orderBy('id')->get()->toArray();
        $stored = $seen();
        $this->artisan('seam:rebuild-standings')->assertSuccessful();
        self::assertSame($before, SkillStanding::query()->where('class_id', $old->id)->orderBy('id')->get()->toArray());
        $this->postJson("/api/classes/$old->id/archive")->assertNoContent();
        self::assertSame($stored, $seen());
        app(CurrentStudio::class)->everywhere(fn () => app(Housekeeping::class)());
        self::assertSame(0, $of());
        self::assertSame($stored, $seen());
        // One who comes again brings all of it along: nothing is stored there.
        $this->postJson('/api/samples', $this->seam($old, $student))->assertSuccessful();
        self::assertSame(0, $of());
    }

    public function test_hours_of_a_needle_that_was_never_noted_are_those_of_the_last_year(): void
    {
        $machine = Machine::query()->where('studio_id', $this->user->studio_id)->firstOrFail();
        $hours = fn (): float => app(CurrentStudio::class)->within($this->user->studio_id, fn (): float => MachineCare::of(Machine::query()->where('id', $machine->id)->get(), app(Shelf::class))->needleHours($machine->id));
        $sit = function (SewingClass $class) use ($machine): void {
            Enrolment::query()->where('class_id', $class->id)->update(['machine_id' => $machine->id]);
        };
        Enrolment::query()->where('studio_id', $this->user->studio_id)->update(['machine_id' => null]);
        [$twoYearsAgo, , , $lately] = $this->classes();
        $sit($twoYearsAgo);
        self::assertSame(0.0, $hours());
        $sit($lately);
        self::assertGreaterThan(1.0, $hours());
    }
}
