<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Records\Facts;
use App\Records\FollowRules;
use App\Support\Backup\Archive;
use App\Support\Backup\BackupBroken;
use App\Support\Backup\RestoreProgress;
use App\Support\Backup\Restoring;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Fills an empty database beside the present one, as an account that can reach nothing else; ./seam restore makes both and swaps. */
final class RestoreCommand extends Command
{
    protected $signature = 'seam:restore {file}';

    protected $description = 'Put a backup into the empty database named in SEAM_RESTORE_DATABASE';

    /** It may go on when it is called again: nothing is wrong with the backup. */
    private const STOPPED = 2;

    /** Of the database, where not the file is to blame: a lock that was waited for too long, a deadlock, not ready, gone away (twice), cut off, read only, full (twice). */
    private const NOT_THE_FILE = [1205, 1213, 1047, 2006, 2013, 4031, 1290, 1021, 1114];

    public function handle(Migrator $migrator, FollowRules $follow): int
    {
        $env = fn (string $name): string => (string) getenv("SEAM_RESTORE_$name");
        config(['database.connections.restore' => ['database' => $env('DATABASE'), 'username' => $env('USER'), 'password' => $env('PASSWORD')] + config()->array('database.connections.mariadb')]);
        DB::setDefaultConnection('restore');
        try {
            $archive = Archive::open((string) $this->argument('file'));
            (new Restoring(DB::connection('restore'), $migrator, database_path('migrations')))->from($archive);
            // Worked out by the same rules, the levels in it are those of today.
            $archive->manifest->rules === null || Facts::note(Facts::RULES, $archive->manifest->rules);
            $follow();
            Facts::note(Facts::LAST_BACKUP, $archive->manifest->madeAt);
            (new RestoreProgress(DB::connection('restore')))->over();
        } catch (BackupBroken $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        } catch (QueryException $e) {
            if (in_array($e->errorInfo[1] ?? null, self::NOT_THE_FILE, true)) {
                $this->error('The database stopped answering, or has no room (database error '.($e->errorInfo[1] ?? '?').').');

                return self::STOPPED;
            }
            // Its words quote what lies in the file, which is personal.
            $this->error('The backup does not fit the tables it says it is of (database error '.$e->getCode().').');

            return self::FAILURE;
        }
        $this->info(sprintf('%d rows in %d tables, %d photos, made %s', $archive->manifest->rows(), count($archive->manifest->tables), $archive->manifest->photos['count'], $archive->manifest->madeAt));

        return self::SUCCESS;
    }
}
