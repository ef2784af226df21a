<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use App\Models\User;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\TestCase;

/** However long a studio teaches, what is asked during an evening goes by an index to what it needs: the database itself says so. */
final class IndexTest extends TestCase
{
    /** Tables that grow with every evening. */
    private const HISTORY = ['samples', 'sample_readings', 'sample_faults', 'sample_notes', 'sample_photos', 'skill_standings', 'lesson_assignments', 'fault_hunts', 'own_looks'];

    /** @var list<QueryExecuted>|null */
    private ?array $asked = null;

    private User $user;

    private SewingClass $class;

    protected function setUp(): void
    {
        parent::setUp();
        $this->user = $this->teacher();
        $this->class = $this->sewingClass($this->user);
        foreach (range(1, 6) as $year) {
            $this->longAgo($year);
        }
        foreach (range(1, 3) as $seat) {
            $this->postJson('/api/samples', $this->seam($this->class, $this->student($this->class, $seat)))->assertCreated();
        }
    }

    /** A class of years ago, with people and samples of its own. */
    private function longAgo(int $year): void
    {
        $names = array_map(fn (int $i): string => "Student $year.$i", range(1, 20));
        $id = (string) $this->actingAs($this->user)->postJson('/api/classes', [
            'name' => "Year $year", 'students' => $names, 'starts_on' => (2030 - $year).'-02-07', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120, 'helpers' => 0, 'machines' => 8, 'began' => true,
        ])->assertCreated()->json('id');
        $samples = $readings = [];
        foreach (SewingClass::query()->findOrFail($id)->enrolments()->pluck('student_id') as $student) {
            for ($turn = 1; $turn <= 20; $turn++) {
                $sample = strtolower((string) Str::ulid());
                $samples[] = ['id' => $sample, 'studio_id' => $this->user->studio_id, 'class_id' => $id, 'student_id' => $student, 'lesson' => 'first-seam', 'lesson_version' => 1, 'settings' => '{}', 'kept_by' => $this->user->id, 'kept_at' => Carbon::parse('2030-02-07')->subYears($year)->addHours($turn)->format('Y-m-d H:i:s.v'), 'turn' => $turn];
                for ($position = 0; $position < 5; $position++) {
                    $readings[] = ['id' => strtolower((string) Str::ulid()), 'studio_id' => $this->user->studio_id, 'sample_id' => $sample, 'reading' => 'seam.allowance', 'position' => $position, 'value' => 16];
                }
            }
        }
        DB::table('samples')->insert($samples);
        // One in four has a word that came later.
        $words = array_map(fn (array $s): array => ['id' => strtolower((string) Str::ulid()), 'studio_id' => $s['studio_id'], 'sample_id' => $s['id'], 'turn' => 1, 'kind' => $s['turn'] % 8 === 0 ? 'withdrawn' : 'note', 'text' => '', 'made_by' => $s['kept_by'], 'made_at' => $s['kept_at']], array_values(array_filter($samples, fn (array $s): bool => $s['turn'] % 4 === 0)));
        DB::table('sample_notes')->insert($words);
        DB::table('sample_faults')->insert(array_map(fn (array $s): array => ['id' => strtolower((string) Str::ulid()), 'studio_id' => $s['studio_id'], 'sample_id' => $s['id'], 'fault' => 'nest'], array_values(array_filter($samples, fn (array $s): bool => $s['turn'] % 3 === 0))));
        foreach (array_chunk($readings, 1000) as $some) {
            DB::table('sample_readings')->insert($some);
        }
    }

    /** @return list<QueryExecuted> what was asked of the database meanwhile */
    private function asked(callable $do): array
    {
        $this->asked === null && DB::listen(function (QueryExecuted $query): void {
            $this->asked[] = $query;
        });
        $this->asked = [];
        $do();

        return $this->asked;
    }

    public function test_no_request_of_an_evening_goes_through_the_history(): void
    {
        $student = $this->student($this->class);
        $class = "/api/classes/{$this->class->id}";
        $sample = $this->seam($this->class, $student);
        $kept = (string) DB::table('samples')->where('student_id', $student)->value('id');
        $routes = [
            'me' => fn () => $this->getJson('/api/me')->assertOk(),
            'today' => fn () => $this->getJson("$class/today")->assertOk(),
            'pulse' => fn () => $this->getJson("$class/pulse")->assertOk(),
            'class' => fn () => $this->getJson($class)->assertOk(),
            'student' => fn () => $this->getJson("$class/students/$student")->assertOk(),
            'look' => fn () => $this->getJson("$class/students/$student/look")->assertOk(),
            'photos' => fn () => $this->getJson("$class/students/$student/photos")->assertOk(),
            'newest samples' => fn () => $this->getJson("$class/students/$student/samples")->assertOk(),
            'plan' => fn () => $this->getJson("$class/plan")->assertOk(),
            'who sits where' => fn () => $this->getJson("$class/bench")->assertOk(),
            'room' => fn () => $this->getJson("/api/room?class={$this->class->id}")->assertOk(),
            'a sample' => fn () => $this->getJson("/api/samples/$kept")->assertOk(),
            'preview' => fn () => $this->postJson('/api/samples/preview', array_diff_key($sample, ['id' => 0]))->assertOk(),
            'keep' => fn () => $this->postJson('/api/samples', $sample)->assertCreated(),
            'correct' => fn () => $this->postJson('/api/samples', $this->seam($this->class, $student, ['replaces' => $sample['id']]))->assertCreated(),
            'withdraw' => fn () => $this->postJson("/api/samples/$kept/withdraw", ['text' => 'a slip'])->assertSuccessful(),
        ];
        $looked = 0;
        foreach ($routes as $route => $ask) {
            foreach ($this->asked($ask) as $query) {
                $looked += $this->goesByIndex($route, $query);
            }
        }
        self::assertGreaterThan(60, $looked, 'the history was asked for at all');
    }

    /** @return int tables of the history that it looked at */
    private function goesByIndex(string $route, QueryExecuted $query): int
    {
        if (preg_match('/^\s*(select|update|delete)\b/i', $query->sql) !== 1) {
            return 0;
        }
        $looked = 0;
        foreach (DB::select("EXPLAIN $query->sql", $query->bindings) as $step) {
            /** @var object{table: string|null, possible_keys: string|null} $step */
            $table = (string) preg_replace('/^(newer|numbered)$/', 'samples', $step->table ?? '');
            if (! in_array($table, self::HISTORY, true)) {
                continue;
            }
            $looked++;
            // Which way it takes depends on how much is there; that one leads to what is asked for does not.
            // Of the studio's own key alone it would go through everything the studio ever sewed.
            $ways = array_filter(explode(',', $step->possible_keys ?? ''), fn (string $key): bool => $key !== '' && ! str_contains($key, 'studio_id_foreign'));
            self::assertNotSame([], $ways, "$route: $query->sql\n$table has no index for it");
        }

        return $looked;
    }

    /** The number of queries does not grow with the people of a class. */
    public function test_a_larger_class_asks_no_more_often(): void
    {
        $of = fn (int $people): SewingClass => $this->sewingClass($this->user, array_map(fn (int $i): string => "Person $i", range(1, $people)));
        [$small, $large] = [$of(2), $of(16)];
        $count = fn (SewingClass $class, string $what): int => count($this->asked(fn () => $this->getJson("/api/classes/$class->id$what")->assertOk()));
        foreach (['/today', '', '/plan', '/bench'] as $what) {
            // What is worked out once for a class is there the second time.
            $count($small, $what);
            $count($large, $what);
            self::assertSame($count($small, $what), $count($large, $what), "16 people or 2: $what");
        }
    }
}
