<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Console\LoadDemo;
use App\Models\CameraComparison;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Models\User;
use App\Support\Clock;
use Illuminate\Database\QueryException;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Tests\TestCase;

final class StudioTest extends TestCase
{
    public function test_a_new_studio_goes_from_nothing_to_a_first_sample(): void
    {
        $this->postJson('/api/studios', ['studio' => 'Attic', 'name' => 'Wren', 'email' => 'Wren@attic.example', 'password' => 'ten letters', 'timezone' => 'UTC'])->assertNoContent();
        $this->getJson('/api/me')->assertOk()->assertJsonPath('studio', 'Attic')->assertJsonPath('classes', []);
        $this->getJson('/api/machines')->assertOk()->assertExactJson([]);
        $class = $this->sewingClass(User::query()->where('email', 'wren@attic.example')->firstOrFail());
        $this->getJson('/api/machines')->assertOk()->assertJsonCount(8);
        $today = $this->getJson("/api/classes/{$class->id}/today")->assertOk()->assertJsonPath('session.state', 'running')->assertJsonPath('session.number', 2);
        $today->assertJsonPath('students.0.in_hand.lesson', 'safe-seat')->assertJsonPath('students.0.last', null)->assertJsonPath('students.0.next_title', 'Wind and thread');
        $this->postJson('/api/samples', $this->seam($class, $this->student($class)))->assertCreated();
        $this->getJson("/api/classes/{$class->id}/today")->assertJsonPath('students.0.looked', true)->assertJsonPath('students.1.looked', false);
    }

    public function test_signing_in_and_out(): void
    {
        $teacher = $this->teacher();
        $this->assertProblem($this->postJson('/api/sign-in', ['email' => $teacher->email, 'password' => 'wrong one']), 422, 'password', 'do not go together');
        $this->postJson('/api/sign-in', ['email' => strtoupper($teacher->email), 'password' => 'a long password'])->assertNoContent();
        $this->getJson('/api/me')->assertOk();
        $this->postJson('/api/sign-out')->assertNoContent();
        $this->app?->make('auth')->forgetGuards();
        $this->assertProblem($this->getJson('/api/me'), 401, '(sign-in)', 'not signed in');
        self::assertNotSame('a long password', $teacher->password);
    }

    public function test_guessing_passwords_is_slowed_down(): void
    {
        for ($i = 0; $i < 5; $i++) {
            $this->postJson('/api/sign-in', ['email' => 'nobody@room.example', 'password' => "guess $i"])->assertStatus(422);
        }
        $this->assertProblem($this->postJson('/api/sign-in', ['email' => 'nobody@room.example', 'password' => 'one more']), 429, '(address)', 'Wait a minute');
    }

    public function test_opening_a_studio_names_what_is_wrong(): void
    {
        $teacher = $this->teacher();
        $this->assertProblem($this->postJson('/api/studios', ['studio' => 'A', 'name' => 'B', 'email' => $teacher->email, 'password' => 'ten letters', 'timezone' => 'UTC']), 422, 'email', 'account already');
        $this->assertProblem($this->postJson('/api/studios', ['studio' => 'A', 'name' => 'B', 'email' => 'x@y.example', 'password' => 'short', 'timezone' => 'UTC']), 422, 'password', 'at least 10');
        $this->assertProblem($this->postJson('/api/studios', ['studio' => 'A', 'name' => 'B', 'email' => 'x@y.example', 'password' => 'ten letters', 'timezone' => 'Moon']), 422, 'timezone', 'time zone');
    }

    /** Every address, as nobody and as the teacher of another studio. */
    public function test_a_stranger_sees_and_changes_nothing(): void
    {
        $owner = $this->teacher('Owner');
        $class = $this->sewingClass($owner);
        $student = $this->student($class);
        $this->postJson('/api/samples', $this->seam($class, $student))->assertCreated();
        $sample = (string) DB::table('samples')->where('studio_id', $owner->studio_id)->value('id');
        $photo = '01jbq3zz7h4x8v1m2n3p4q5r6w';
        $this->sendPicture("/api/samples/$sample/photos?id=$photo", $this->picture())->assertCreated();
        $machine = (string) DB::table('machines')->where('studio_id', $owner->studio_id)->value('id');
        $fill = ['{class}' => $class->id, '{student}' => $student, '{skill}' => 'keep-allowance', '{machine}' => $machine, '{lesson}' => 'guides', '{sample}' => $sample, '{photo}' => $photo, '{job}' => '01jbq3zz7h4x8v1m2n3p4q5r6s',
            '{foot}' => (string) DB::table('feet')->where('studio_id', $owner->studio_id)->value('id'),
            '{hunt}' => (string) $this->postJson('/api/hunts', ['id' => '01jbq3zz7h4x8v1m2n3p4q5r6t', 'seen' => ['nest'], 'student' => $student])->assertCreated()->json('id'),
            '{buttonhole}' => (string) $this->putJson('/api/buttonholes/01jbq3zz7h4x8v1m2n3p4q5r6v', ['job' => ['shape' => 'flat'], 'class' => $class->id, 'student' => $student])->assertOk()->json('id'),
            '{lens}' => (string) $this->postJson('/api/lenses')->assertCreated()->json('lens'), '{number}' => '1',
            '{comparison}' => (string) CameraComparison::factory()->create(['studio_id' => $owner->studio_id])->sample,
            '{answer}' => (string) $this->postJson('/api/answers', ['tool' => 'find-guide', 'text' => 'plate line 16', 'lesson' => 'guides'])->assertCreated()->json('id'),
        ];
        $routes = array_filter(Routes::getRoutes()->getRoutes(), fn (Route $r): bool => str_starts_with($r->uri(), 'api/') && in_array('auth', $r->gatherMiddleware(), true));
        self::assertGreaterThan(18, count($routes));

        $this->app?->make('auth')->forgetGuards();
        foreach ($routes as $route) {
            $this->json($route->methods()[0], strtr($route->uri(), $fill), [])->assertStatus(401);
        }

        $stranger = $this->teacher('Stranger');
        $before = $this->rowCounts($owner->studio_id);
        foreach ($routes as $route) {
            // What names the owner's things, or brings them in the body.
            if ($route->uri() === 'api/sign-out') {
                continue;
            }
            $body = $route->uri() === 'api/classes' ? [] : ['version' => 1, 'sessions' => [[], [], [], [], [], []], 'students' => ['Spy'], 'lesson' => 'guides', 'name' => 'x', 'drive' => 'mechanical', 'tension_mark' => '1', 'usable' => false, 'note' => '', 'starts_on' => '2030-01-01', 'time' => '10:00', 'minutes' => 60, 'unit' => 'mm', 'kind' => 'clean', 'facts' => ['kind' => 'standard'], 'tool' => 'x', 'text' => 'x', 'item' => 'cloth', 'have' => 3, 'after' => 0, 'cause' => 'top-not-seated', 'result' => 'cured', 'ticked' => true, 'most_lessons' => 3, 'held' => [], 'away' => [], 'state' => 'late', 'wishes' => [], 'own_machine' => true, 'job' => ['shape' => 'ball']] + $this->seam($class, $student);
            if (str_contains($route->uri(), 'machines')) {
                unset($body['facts']);
            }
            if (str_ends_with($route->uri(), 'lay-out') || str_ends_with($route->uri(), 'plan/try')) {
                $body['sessions'] = 3;
            }
            $response = $this->actingAs($stranger)->json($route->methods()[0], strtr($route->uri(), $fill), $body);
            if (str_contains($route->uri(), '{') && ! str_contains($route->uri(), '{lesson}') && ! str_contains($route->uri(), '{job}')) {
                self::assertSame(404, $response->status(), $route->uri());
            } elseif ($route->uri() === 'api/answers' && $route->methods()[0] === 'POST') {
                $this->assertProblem($response, 422, 'student', 'in this studio');
            } elseif (str_starts_with($route->uri(), 'api/samples')) {
                $this->assertProblem($response, 422, 'class', 'in this studio');
            } else {
                self::assertStringNotContainsString($student, (string) $response->getContent());
                self::assertStringNotContainsString($class->id, (string) $response->getContent());
            }
        }
        self::assertSame($before, $this->rowCounts($owner->studio_id));
        $found = (string) $this->actingAs($stranger)->getJson('/api/find')->assertOk()->getContent();
        self::assertStringNotContainsString('Ona', $found);
        self::assertStringNotContainsString($class->id, $found);
    }

    /** @return array<string, int> */
    private function rowCounts(string $studio): array
    {
        $counts = [];
        foreach (['lesson_texts', 'shelf_editions', 'cupboard_items', 'material_ticks', 'machines', 'feet', 'service_entries', 'kept_answers', 'fault_hunts', 'classes', 'students', 'enrolments', 'planned_lessons', 'samples', 'sample_readings', 'sample_photos', 'bench_plans', 'lesson_assignments', 'camera_comparisons'] as $table) {
            $counts[$table] = DB::table($table)->where('studio_id', $studio)->count();
        }

        return $counts;
    }

    /** The matrix does not go through the samples: what it says must be what going through them says. */
    public function test_the_matrix_agrees_with_today(): void
    {
        $class = $this->demo();
        $agree = function () use ($class): array {
            $today = array_map(fn (mixed $s): mixed => is_array($s) && is_array($s['in_hand']) ? $s['in_hand']['title'] : null, (array) $this->getJson("/api/classes/{$class->id}/today")->assertOk()->json('students'));
            self::assertSame($today, array_column((array) $this->getJson("/api/classes/{$class->id}")->assertOk()->json('students'), 'next_title'));

            return $today;
        };
        $now = $agree();
        // Ten weeks on skills have faded, and both say so.
        Clock::fix(Clock::now()->addWeeks(10));
        self::assertNotSame($now, $agree());
        Clock::fix(null);
    }

    public function test_every_answer_carries_the_security_headers(): void
    {
        foreach (['/', '/api/me'] as $address) {
            $policy = (string) $this->get($address)->headers->get('Content-Security-Policy');
            self::assertStringContainsString("script-src 'self';", $policy);
            self::assertStringNotContainsString('unsafe', $policy);
            self::assertSame('DENY', $this->get($address)->headers->get('X-Frame-Options'));
        }
        self::assertDoesNotMatchRegularExpression('/<script(?![^>]*\bsrc=)/', (string) $this->get('/')->getContent(), 'no inline script');
    }

    private function demo(): SewingClass
    {
        Clock::fix(null);
        $studio = app(LoadDemo::class)();
        $this->actingAs(User::query()->where('studio_id', $studio->id)->firstOrFail());

        return SewingClass::query()->where('studio_id', $studio->id)->where('name', 'Beginners one')->firstOrFail();
    }

    public function test_the_demo_is_always_in_the_middle_of_a_session(): void
    {
        $class = $this->demo();
        $today = $this->getJson("/api/classes/{$class->id}/today")->assertOk()->assertJsonPath('session.state', 'running')->assertJsonPath('session.number', 4);
        $rows = $today->json('students');
        self::assertIsArray($rows);
        self::assertCount(10, $rows);
        $kinds = array_unique(array_column(array_column($rows, 'in_hand'), 'kind'));
        self::assertEqualsCanonicalizing(['go-on', 'drill', 'repeat'], $kinds);
    }

    public function test_a_rebuild_changes_nothing(): void
    {
        $class = $this->demo();
        $student = $this->student($class);
        $wrong = $this->seam($class, $student);
        $this->postJson('/api/samples', $wrong)->assertCreated();
        $this->postJson('/api/samples', $this->seam($class, $student, ['replaces' => $wrong['id'], 'readings' => ['seam.back-end' => ['1'], 'seam.allowance' => ['1/3 in', '16', '17', '18', '19.25']]]))->assertCreated();
        $all = fn (): array => SkillStanding::query()->orderBy('id')->get()->toArray();
        $before = $all();
        self::assertGreaterThan(100, count($before));
        $this->artisan('seam:rebuild-standings')->assertSuccessful();
        self::assertSame($before, $all());
    }

    public function test_as_many_queries_for_ten_students_as_for_forty(): void
    {
        $class = $this->demo();
        $student = $this->student($class, 5);
        // Somebody new has been given nothing yet: the class table looks at their samples.
        $this->postJson("/api/classes/{$class->id}/students", ['students' => ['Guest']])->assertNoContent();
        $ten = $this->queries($class, $student);
        self::assertGreaterThan(50, Sample::query()->count());
        $this->postJson("/api/classes/{$class->id}/students", ['students' => array_map(fn (int $n): string => "Guest $n", range(2, 30))])->assertNoContent();
        foreach ($this->queries($class, $student) as $i => $forty) {
            self::assertLessThanOrEqual($ten[$i], $forty, "view $i");
        }
    }

    /** @return list<int> of each view of a class */
    private function queries(SewingClass $class, string $student): array
    {
        $counts = [];
        foreach ([
            fn () => $this->getJson("/api/classes/{$class->id}/today")->assertOk(),
            fn () => $this->getJson("/api/classes/{$class->id}")->assertOk(),
            fn () => $this->getJson("/api/classes/{$class->id}/plan")->assertOk(),
            fn () => $this->getJson("/api/classes/{$class->id}/students/{$student}/look")->assertOk(),
            fn () => $this->getJson("/api/room?class={$class->id}")->assertOk(),
            fn () => $this->getJson("/api/classes/{$class->id}/students/{$student}")->assertOk(),
            fn () => $this->getJson("/api/classes/{$class->id}/students/{$student}/skills/keep-allowance")->assertOk(),
            fn () => $this->getJson("/api/classes/{$class->id}/bench")->assertOk(),
            fn () => $this->postJson('/api/samples/preview', $this->seam($class, $student))->assertOk(),
            fn () => $this->postJson("/api/classes/{$class->id}/bench/start", ['version' => $this->getJson("/api/classes/{$class->id}/bench")->json('version')])->assertOk(),
        ] as $request) {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $request();
            $counts[] = count(array_filter(array_column(DB::getQueryLog(), 'query'), fn (string $sql): bool => ! str_contains($sql, '`sessions` ')));
        }

        return $counts;
    }

    public function test_a_database_error_logs_no_values(): void
    {
        array_map(unlink(...), glob(storage_path('logs/application*.log')) ?: []);
        try {
            DB::table('students')->insert(['name' => 'Secret Child']);
            self::fail('A student without a studio was stored.');
        } catch (QueryException $e) {
            self::assertStringContainsString('Secret Child', $e->getMessage());
            report($e);
        }
        [$file] = glob(storage_path('logs/application*.log')) ?: [''];
        $log = (string) file_get_contents($file);
        self::assertSame('0600', substr(sprintf('%o', fileperms($file)), -4));
        self::assertStringContainsString('insert into', $log);
        self::assertStringNotContainsString('Secret Child', $log);
    }
}
