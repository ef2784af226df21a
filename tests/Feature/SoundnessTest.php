<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Console\LoadDemo;
use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Models\Studio;
use App\Models\User;
use App\Records\Tracing;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenSeam\Core\Skill\TracingParameters;
use Tests\TestCase;

/** The studio's history gone through again, and numbers of its own. */
final class SoundnessTest extends TestCase
{
    public function test_the_demo_studio_is_gone_through(): void
    {
        $studio = app(LoadDemo::class)();
        $this->actingAs(User::query()->where('studio_id', $studio->id)->firstOrFail());
        $sound = $this->getJson('/api/soundness')->assertOk()->assertJsonPath('own', false);
        self::assertSame(DB::table('samples')->where('studio_id', $studio->id)->count(), $sound->json('samples'));
        $schools = array_column((array) $sound->json('schools'), null, 'school');
        self::assertSame(['tracing', 'three-in-a-row', 'two-of-three', 'teachers-word'], array_keys($schools));
        foreach ($schools as $s) {
            self::assertIsArray($s);
            self::assertGreaterThanOrEqual($s['held'], $s['called']);
            // The same showings under every school, called sure or not.
            self::assertSame($schools['tracing']['called'] + $schools['tracing']['open'], $s['called'] + $s['open']);
        }
        self::assertSame(DB::table('lesson_assignments')->where('studio_id', $studio->id)->count(), array_sum(array_column((array) $sound->json('rules'), 'given')));
        // Too few students: the usual numbers stay.
        $this->postJson('/api/soundness')->assertOk()->assertJsonPath('own', false);
        self::assertNull(Studio::query()->findOrFail($studio->id)->tracing);
    }

    /** A studio whose students learn at once: its own samples foretell better, and the standings follow; back again they are as before. */
    public function test_own_numbers_are_fitted_and_given_up(): void
    {
        $user = $this->teacher();
        $class = $this->sewingClass($user, array_map(fn (int $i): string => "Student $i", range(1, 20)));
        $students = DB::table('enrolments')->where('class_id', $class->id)->orderBy('seat')->pluck('student_id')->all();
        foreach ($students as $i => $student) {
            self::assertIsString($student);
            foreach (range(1, 6) as $n) {
                // Wrong the first time, good ever after; one in seven is good from the start.
                $bad = $n === 1 && $i % 7 !== 0;
                $no = $bad ? ['0'] : ['3'];
                Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC')->addMinutes(10 * $n));
                $this->postJson('/api/samples', $this->seam($class, $student, ['readings' => [
                    'seam.allowance' => $bad ? ['10', '20', '10', '20', '10'] : ['16', '16', '16', '16', '16'], 'seam.start-in' => ['4'], 'seam.back-start' => $no, 'seam.back-end' => $no,
                    'seam.pull' => [$bad ? '0' : '1'], 'seam.tails-held' => [$bad ? '0' : '1'], 'seam.highest' => [$bad ? '0' : '1'], 'seam.tail' => [$bad ? '5' : '55'],
                ]]))->assertCreated();
            }
        }
        $before = SkillStanding::query()->where('class_id', $class->id)->orderBy('id')->pluck('known', 'id')->all();
        $fitted = $this->postJson('/api/soundness')->assertOk()->assertJsonPath('own', true);
        $habit = array_column((array) $fitted->json('kinds'), null, 'kind')['habit'];
        self::assertIsArray($habit);
        self::assertTrue($habit['own']);
        self::assertLessThan($habit['usual_loss'], $habit['fitted_loss']);
        self::assertGreaterThan(0.5, $habit['transit']);
        self::assertNotEquals($before, SkillStanding::query()->where('class_id', $class->id)->orderBy('id')->pluck('known', 'id')->all());
        // A later sample is judged by the same numbers that a rebuild would use.
        $this->postJson('/api/samples', $this->seam($class, (string) $students[0], ['id' => strtolower((string) Str::ulid())]))->assertCreated();
        $kept = SkillStanding::query()->orderBy('id')->pluck('known', 'id')->all();
        $this->artisan('seam:rebuild-standings')->assertSuccessful();
        self::assertEquals($kept, SkillStanding::query()->orderBy('id')->pluck('known', 'id')->all());

        $this->deleteJson('/api/soundness')->assertOk()->assertJsonPath('own', false);
        self::assertNull(Studio::query()->findOrFail($user->studio_id)->tracing);
    }

    public function test_numbers_are_kept_as_they_are(): void
    {
        $own = ['hand' => TracingParameters::of(0.25, 0.05, 0.12, 0.3)];
        self::assertEquals($own, Tracing::read(Tracing::write($own)));
        self::assertNull(Tracing::write([]));
        self::assertSame([], Tracing::read(null));
        self::assertSame([], Tracing::read('{"hand":{"start":0.3,"slip":0.1,"guess":0.1,"transit":0.2}}'), 'fitted to single checks, by an earlier version');
    }

    /** Nobody else's numbers: another studio goes by the usual ones. */
    public function test_another_studio_keeps_the_usual(): void
    {
        $one = $this->teacher('One');
        Studio::query()->whereKey($one->studio_id)->update(['tracing' => Tracing::write(['hand' => TracingParameters::of(0.9, 0.01, 0.01, 0.9)])]);
        $two = $this->teacher('Two');
        $this->actingAs($two)->getJson('/api/soundness')->assertOk()->assertJsonPath('own', false);
        $this->actingAs(User::query()->findOrFail($one->id))->getJson('/api/soundness')->assertOk()->assertJsonPath('own', true)->assertJsonPath('kinds.0.start', 0.9);
        self::assertCount(0, SewingClass::query()->where('studio_id', $two->studio_id)->get());
    }
}
