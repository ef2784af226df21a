<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\Connection;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use RuntimeException;
use Tests\TestCase;

/** A migration that was cut short at any statement is run again and ends where it should, with the data it began with. */
final class MigrationTest extends TestCase
{
    /** An empty database of its own, made by `./seam test`. */
    private const SCRATCH = 'scratch';

    /** Migrations of the time when one server was all there was: the next one is the first that is held to it. */
    private const BEFORE_MANY_SERVERS = 33;

    private Connection $scratch;

    private Migrator $migrator;

    /** Statements of the migrations that may still run; null: all. */
    private ?int $left = null;

    private int $run = 0;

    protected function setUp(): void
    {
        parent::setUp();
        config(['database.connections.scratch' => ['database' => self::SCRATCH] + config()->array('database.connections.mariadb')]);
        $this->scratch = DB::connection('scratch');
        $this->migrator = app(Migrator::class);
        $this->scratch->beforeExecuting(function (string $sql): void {
            if (preg_match('/^\s*(create|alter|drop|update|insert)/i', $sql) === 1 && ! str_contains($sql, '`migrations`')) {
                $this->left === null || $this->left-- > 0 || throw new RuntimeException('cut short');
                $this->run++;
            }
        });
    }

    protected function tearDown(): void
    {
        $this->left = null;
        $this->scratch->getSchemaBuilder()->dropAllTables();
        DB::purge('scratch');
        parent::tearDown();
    }

    /** @return array<string, string> files by name */
    private function files(int $from, int $to): array
    {
        return array_slice($this->migrator->getMigrationFiles(database_path('migrations')), $from, $to - $from);
    }

    /** @param  array<string, string>  $files */
    private function migrate(array $files): void
    {
        $this->migrator->usingConnection('scratch', function () use ($files): void {
            $this->migrator->repositoryExists() || $this->migrator->getRepository()->createRepository();
            $this->migrator->runPending(array_values(array_diff_key($files, array_flip($this->migrator->getRepository()->getRan()))));
        });
    }

    /** @return array<string, mixed> everything about the tables */
    private function schema(): array
    {
        $read = fn (string $what, string $from, string $schema): array => array_map(fn (object $r): array => (array) $r, $this->scratch->select("SELECT $what FROM information_schema.$from WHERE $schema = DATABASE() ORDER BY 1, 2, 3"));

        return [
            'columns' => $read('table_name, column_name, column_type, is_nullable, column_default, column_comment', 'columns', 'table_schema'),
            'keys' => $read('table_name, index_name, column_name, seq_in_index, non_unique', 'statistics', 'table_schema'),
            'references' => $read('table_name, constraint_name, referenced_table_name, delete_rule', 'referential_constraints', 'constraint_schema'),
            'triggers' => $read('event_object_table, trigger_name, action_statement', 'triggers', 'trigger_schema'),
        ];
    }

    private function clear(): void
    {
        $this->left = null;
        $this->scratch->getSchemaBuilder()->dropAllTables();
    }

    /** A studio as the first version kept it: two machines, two students, two samples each. */
    private function firstVersion(): void
    {
        $this->migrate($this->files(0, 3));
        $id = fn (int $n): string => '01h0000000000000000000000'.chr(96 + $n);
        $add = fn (string $table, array $rows) => $this->scratch->table($table)->insert($rows);
        $own = ['studio_id' => $id(1)];
        $add('studios', [['id' => $id(1), 'name' => 'Mill']]);
        $add('machines', [$own + ['id' => $id(2), 'name' => 'Window 1', 'drive' => 'mechanical'], $own + ['id' => $id(3), 'name' => 'Window 2', 'drive' => 'mechanical']]);
        $add('classes', [$own + ['id' => $id(4), 'name' => 'Thursday', 'course' => 'first-steps']]);
        foreach ([5, 6] as $n) {
            $add('students', [$own + ['id' => $id($n), 'name' => "Student $n", 'wishes' => '[]']]);
            foreach ([2, 1] as $day) {
                $add('samples', [$own + ['id' => strtolower((string) Str::ulid()), 'class_id' => $id(4), 'student_id' => $id($n), 'lesson' => 'first-seam', 'lesson_version' => 1, 'settings' => '{}', 'kept_at' => "2030-05-0$day 19:00:00"]]);
            }
        }
    }

    /** What two versions that serve at once cannot both live with: something that one of them still uses is gone, or has to be given. */
    private static function takesAway(string $sql): bool
    {
        return preg_match('/^\s*(drop table|rename table|truncate)|^\s*alter table .*\b(drop column|drop `|rename|change|modify)\b/i', $sql) === 1
            || preg_match('/^\s*alter table .*\badd (column )?(?!index|unique|constraint|key|primary|fulltext)`?\w+`? (?!.*\b(null default|default|auto_increment)\b)(?=.*\bnot null\b)/i', $sql) === 1;
    }

    /** Several web nodes go over one after the other (docs/run/many-servers.md): a version adds, the one after it takes away. */
    public function test_from_here_on_a_version_only_adds(): void
    {
        foreach (['alter table `samples` drop `drill`', 'alter table samples rename column a to b', 'drop table `facts`', 'alter table `samples` modify `drill` varchar(10)', 'alter table `samples` add `new` varchar(20) not null'] as $sql) {
            self::assertTrue(self::takesAway($sql), $sql);
        }
        foreach (['alter table `samples` add `new` varchar(20) null', "alter table `samples` add `new` tinyint(1) not null default '0'", 'alter table `samples` add index `x`(`studio_id`)', 'create table `new` (`id` char(26) not null)'] as $sql) {
            self::assertFalse(self::takesAway($sql), $sql);
        }
        $count = count($this->migrator->getMigrationFiles(database_path('migrations')));
        $this->migrate($this->files(0, self::BEFORE_MANY_SERVERS));
        $taken = [];
        $this->scratch->beforeExecuting(function (string $sql) use (&$taken): void {
            self::takesAway($sql) && $taken[] = $sql;
        });
        $this->migrate($this->files(self::BEFORE_MANY_SERVERS, $count));
        self::assertSame([], $taken);
    }

    public function test_cut_short_anywhere_it_ends_where_it_should(): void
    {
        $count = count($this->migrator->getMigrationFiles(database_path('migrations')));
        $this->firstVersion();
        $this->run = 0;
        $this->migrate($this->files(0, $count));
        $whole = $this->schema();
        $statements = $this->run;
        self::assertGreaterThan(30, $statements);
        // A tenth of the places each time, other ones with each run of the tests.
        $offset = random_int(0, 4);
        for ($at = $offset; $at < $statements; $at += 5) {
            $this->clear();
            $this->firstVersion();
            $this->left = $at;
            try {
                $this->migrate($this->files(0, $count));
                self::fail("It was not cut at statement $at of $statements.");
            } catch (\Throwable $e) {
                self::assertStringContainsString('cut short', $e->getMessage());
            }
            $this->left = null;
            $this->migrate($this->files(0, $count));
            self::assertSame($whole, $this->schema(), "cut at statement $at");
            self::assertSame([[1, '2030-05-01'], [1, '2030-05-01'], [2, '2030-05-02'], [2, '2030-05-02']], array_map(fn (object $s): array => [(int) ((array) $s)['turn'], substr((string) ((array) $s)['kept_at'], 0, 10)], $this->scratch->table('samples')->orderBy('turn')->get()->all()));
            self::assertSame([['Standard', 2]], array_map(fn (object $f): array => [((array) $f)['name'], (int) ((array) $f)['count']], $this->scratch->table('feet')->get()->all()));
        }
    }

    /** Links that were handed out go on working, kept as digests; whoever opened a studio owns it. */
    public function test_old_links_and_people_are_taken_over(): void
    {
        $this->firstVersion();
        $this->migrate($this->files(0, 13));
        $id = fn (int $n): string => '01h0000000000000000000000'.chr(96 + $n);
        $token = str_repeat('aB3x', 10);
        $this->scratch->table('users')->insert(array_map(fn (int $n): array => ['id' => $id($n), 'studio_id' => $id(1), 'name' => "T $n", 'email' => "t$n@x.example", 'password' => 'x'], [7, 8]));
        $this->scratch->table('enrolments')->insert(['id' => $id(9), 'studio_id' => $id(1), 'class_id' => $id(4), 'student_id' => $id(5), 'seat' => 1, 'page_token' => $token]);
        $this->migrate($this->files(0, count($this->migrator->getMigrationFiles(database_path('migrations')))));
        $enrolment = (array) $this->scratch->table('enrolments')->first();
        self::assertSame(hash('sha256', $token), $enrolment['page_hash']);
        self::assertNotNull($enrolment['page_until']);
        self::assertArrayNotHasKey('page_token', $enrolment);
        self::assertSame(['owner', 'teacher'], $this->scratch->table('users')->orderBy('id')->pluck('role')->all());
    }

    /** What lay in one JSON has its place each, and lies in one again when it is taken back. */
    public function test_wishes_and_dates_are_parted(): void
    {
        $this->firstVersion();
        $this->migrate($this->files(0, 19));
        $id = fn (int $n): string => '01h0000000000000000000000'.chr(96 + $n);
        $all = ['pins' => ['zip' => 2], 'together' => [['zip', 'guides']], 'starts_on' => '2030-05-02', 'time' => '18:30', 'minutes' => 120, 'closed' => ['2030-05-30'], 'sure' => 0.8, 'repeats' => ['zip' => 12.5], 'samples' => 31, 'repeat_sessions' => 1];
        $this->scratch->table('course_plans')->insert(['id' => $id(9), 'studio_id' => $id(1), 'class_id' => $id(4), 'version' => 3, 'wishes' => json_encode($all)]);
        $this->migrate($this->files(19, 20));
        $plan = (array) $this->scratch->table('course_plans')->where('id', $id(9))->first();
        $of = fn (string $column): array => (array) json_decode((string) $plan[$column], true);
        self::assertEquals(['pins' => ['zip' => 2], 'together' => [['zip', 'guides']]], $of('wishes'));
        self::assertEquals(['starts_on' => '2030-05-02', 'time' => '18:30', 'minutes' => 120, 'closed' => ['2030-05-30']], $of('dates'));
        self::assertEquals(['sure' => 0.8, 'repeats' => ['zip' => 12.5], 'samples' => 31, 'repeat_sessions' => 1], $of('repeats'));
    }

    public function test_the_first_tables_cut_short(): void
    {
        $this->run = 0;
        $this->migrate($this->files(0, 3));
        $whole = $this->schema();
        $statements = $this->run;
        for ($at = random_int(0, 6); $at < $statements; $at += 7) {
            $this->clear();
            $this->left = $at;
            try {
                $this->migrate($this->files(0, 3));
                self::fail("It was not cut at statement $at of $statements.");
            } catch (\Throwable $e) {
                self::assertStringContainsString('cut short', $e->getMessage());
            }
            $this->left = null;
            $this->migrate($this->files(0, 3));
            self::assertSame($whole, $this->schema(), "cut at statement $at");
        }
    }
}
