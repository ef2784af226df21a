<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use App\Models\User;
use App\Records\KeptSample;
use App\Records\StudentRecords;
use App\Support\CurrentStudio;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Words;
use Tests\TestCase;

/** Invented years are such as the program itself could have kept. */
final class GrowTest extends TestCase
{
    public function test_a_studio_with_a_year_behind_it_is_worked_with_as_any_other(): void
    {
        $this->artisan('seam:grow', ['--studios' => '1', '--years' => '1', '--students' => '4', '--samples' => '12', '--password' => 'calico madder chalk'])->assertSuccessful()->expectsOutputToContain('1 new studios');
        $user = User::query()->where('email', 'evening0@loft.example')->firstOrFail();
        $studio = $user->studio_id;
        self::assertSame(4 * 12, DB::table('samples')->where('studio_id', $studio)->count());
        self::assertGreaterThan(4 * 12 * 4, DB::table('sample_readings')->where('studio_id', $studio)->count());
        $classes = SewingClass::query()->where('studio_id', $studio)->orderBy('id')->get();
        self::assertSame([false, false, true], $classes->map(fn (SewingClass $c): bool => $c->archived_at === null)->all());
        // Read as it is kept: graded, good and poor ones, each reading where it belongs.
        $old = $classes[0]?->id;
        $students = $this->actingAs($user)->getJson("/api/classes/$old")->assertOk()->json('students');
        self::assertIsArray($students);
        self::assertCount(2, $students);
        $student = data_get($students, '0.student');
        $student = is_string($student) ? $student : '';
        $kept = app(CurrentStudio::class)->within($studio, fn (): array => app(StudentRecords::class)->of([$student], Words::in())[$student]);
        self::assertCount(12, $kept);
        $verdicts = array_map(fn (KeptSample $k): string => $k->verdict()->value ?? 'none', $kept);
        self::assertNotContains('none', $verdicts, 'every one is judged');
        self::assertGreaterThan(1, count(array_unique($verdicts)));
        $this->getJson('/api/classes/'.($classes[2]->id ?? '').'/today')->assertOk()->assertJsonCount(10, 'students');
        // Begun again, what is there is left alone.
        $this->artisan('seam:grow', ['--studios' => '1', '--years' => '1', '--password' => 'calico madder chalk'])->assertSuccessful()->expectsOutputToContain('1 were there already');
        self::assertSame(4 * 12, DB::table('samples')->where('studio_id', $studio)->count());
    }

    public function test_it_asks_for_a_password_and_for_numbers(): void
    {
        $this->artisan('seam:grow', ['--studios' => '1'])->assertFailed()->expectsOutputToContain('--password');
        $this->artisan('seam:grow', ['--studios' => '0', '--password' => 'calico madder chalk'])->assertFailed()->expectsOutputToContain('from 1 to 100000');
        $this->artisan('seam:grow', ['--years' => 'ten', '--password' => 'calico madder chalk'])->assertFailed()->expectsOutputToContain('--years');
    }
}
