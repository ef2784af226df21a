<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Records\Facts;
use App\Records\FollowRules;
use App\Records\Shelf;
use App\Support\Backup\BackupBroken;
use App\Support\Backup\BackupFolder;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use OpenSeam\Core\InputError;

/** Everything this version wants before it is served: data put aside before their tables change, tables, curriculum, standings, caches. */
final class PrepareCommand extends Command
{
    protected $signature = 'seam:prepare';

    protected $description = 'Bring data and caches to this version';

    public function handle(Migrator $migrator, FollowRules $follow): int
    {
        $known = $migrator->repositoryExists() ? $migrator->getRepository()->getRan() : [];
        $pending = array_diff(array_keys($migrator->getMigrationFiles(database_path('migrations'))), $known);
        // A first start that was cut short left some tables and nobody's data: it goes on.
        if ($known !== [] && $pending !== [] && Schema::hasTable('studios') && DB::table('studios')->exists()) {
            try {
                [$file] = BackupFolder::standard()->add(BackupFolder::BEFORE_UPDATE);
            } catch (BackupBroken $e) {
                $this->error('Before the tables change the data are put aside, and that did not work. '.$e->getMessage());

                return self::FAILURE;
            }
            $this->line("Put aside before the change: $file");
        }
        if ($this->call('migrate', ['--force' => true]) !== self::SUCCESS) {
            return self::FAILURE;
        }
        Facts::of(Facts::BEGUN) === null && Facts::note(Facts::BEGUN, now()->toIso8601ZuluString());
        try {
            Shelf::compile();
        } catch (InputError $e) {
            $this->error("The course bundle in curriculum/ is not right. {$e->field}: {$e->getMessage()}");

            return self::FAILURE;
        }
        $count = $follow();
        $count === null || $count === 0 || $this->line("The rules changed: the standings of $count enrolments were worked out anew.");

        return max($this->call('config:cache'), $this->call('route:cache'));
    }
}
