<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Studio;
use App\Records\OpenStudio;
use App\Support\Database\PatientConnection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use mysqli;
use PDO;
use RuntimeException;
use Tests\TestCase;

/** Against another connection that gets in the way: real deadlocks, a real end of the line. */
final class PatientConnectionTest extends TestCase
{
    private mysqli $other;

    private Studio $studio;

    /** @return list<string> none: nothing is around these transactions, they are the outermost ones */
    protected function connectionsToTransact(): array
    {
        return [];
    }

    protected function setUp(): void
    {
        parent::setUp();
        $config = config()->array('database.connections.mariadb');
        $this->other = new mysqli('127.0.0.1', is_string($config['username']) ? $config['username'] : '', is_string($config['password']) ? $config['password'] : '', is_string($config['database']) ? $config['database'] : '', is_numeric($config['port']) ? (int) $config['port'] : 0);
        $this->studio = app(OpenStudio::class)('Patient', 'P. Atient', 'patient@room.example', 'a long password', 'UTC')->studio;
        foreach (['patient-1', 'patient-2'] as $name) {
            DB::table('facts')->insert(['name' => $name, 'value' => 'before', 'noted_at' => now()]);
        }
    }

    protected function tearDown(): void
    {
        $this->other->close();
        DB::table('facts')->where('name', 'like', 'patient-%')->delete();
        $this->studio->delete();
        parent::tearDown();
    }

    public function test_what_another_one_got_in_the_way_of_is_done_from_its_beginning(): void
    {
        // The other one has changed more rows: it is the one the database lets go on.
        $this->other->begin_transaction();
        for ($i = 3; $i < 30; $i++) {
            $this->other->query("INSERT INTO facts VALUES ('patient-$i', 'other', NOW())");
        }
        $this->other->query("UPDATE facts SET value = 'other' WHERE name = 'patient-2'");
        $tries = 0;
        $answer = DB::transaction(function () use (&$tries): string {
            $tries++;
            if ($tries === 2) {
                $this->other->reap_async_query();
                $this->other->commit();
            }
            $this->studio->update(['name' => 'Changed']);
            DB::table('facts')->where('name', 'patient-1')->update(['value' => 'mine']);
            if ($tries === 1) {
                $this->other->query("UPDATE facts SET value = 'other' WHERE name = 'patient-1'", MYSQLI_ASYNC);
                usleep(300_000);
            }
            DB::table('facts')->where('name', 'patient-2')->update(['value' => 'mine']);

            return 'done';
        });
        self::assertSame(['done', 2], [$answer, $tries]);
        self::assertSame(['mine', 'mine'], DB::table('facts')->whereIn('name', ['patient-1', 'patient-2'])->orderBy('name')->pluck('value')->all());
        // The first try had called the model saved: what was rolled back was done again, not passed over.
        self::assertSame('Changed', Studio::query()->findOrFail($this->studio->id)->name);
    }

    public function test_a_node_that_goes_away_in_the_middle_is_followed_by_the_next(): void
    {
        $tries = 0;
        DB::transaction(function () use (&$tries): void {
            $tries++;
            $this->studio->update(['name' => 'Elsewhere']);
            if ($tries === 1) {
                $id = DB::selectOne('SELECT CONNECTION_ID() AS id');
                $this->other->query('KILL '.(int) ($id->id ?? 0));
            }
            DB::table('facts')->where('name', 'patient-1')->update(['value' => 'mine']);
        });
        self::assertSame(2, $tries);
        self::assertSame('Elsewhere', Studio::query()->findOrFail($this->studio->id)->name);
        self::assertSame('mine', DB::table('facts')->where('name', 'patient-1')->value('value'));
    }

    public function test_what_goes_wrong_by_itself_is_not_tried_again(): void
    {
        $tries = 0;
        try {
            DB::transaction(function () use (&$tries): void {
                $tries++;
                DB::table('facts')->where('name', 'patient-1')->update(['value' => 'mine']);
                throw new RuntimeException('no');
            });
        } catch (RuntimeException) {
        }
        self::assertSame(1, $tries);
        self::assertSame('before', DB::table('facts')->where('name', 'patient-1')->value('value'));
        // A statement that is wrong stays wrong.
        $this->expectException(QueryException::class);
        DB::transaction(function () use (&$tries): void {
            $tries++;
            self::assertSame(2, $tries, 'once');
            DB::insert("INSERT INTO facts VALUES ('patient-1', 'again', NOW())");
        });
    }

    public function test_what_a_node_for_reading_cannot_tell_is_asked_of_the_one_for_writing(): void
    {
        $config = config()->array('database.connections.mariadb');
        config(['database.connections.apart' => ['read' => ['options' => [PDO::ATTR_EMULATE_PREPARES => true, PDO::MYSQL_ATTR_INIT_COMMAND => 'SET SESSION innodb_lock_wait_timeout = 1']], 'write' => ['database' => $config['database']]] + $config]);
        $apart = DB::connection('apart');
        self::assertInstanceOf(PatientConnection::class, $apart);
        // It waits too long, as one that is behind does.
        $this->other->begin_transaction();
        $this->other->query("UPDATE facts SET value = 'other' WHERE name = 'patient-1'");
        $asked = 0;
        $apart->beforeExecuting(function () use (&$asked): void {
            ++$asked === 2 && $this->other->commit();
        });
        self::assertSame('other', $apart->select("SELECT value FROM facts WHERE name = 'patient-1' LOCK IN SHARE MODE")[0]->value ?? null);
        self::assertSame(2, $asked);
        DB::purge('apart');
    }
}
