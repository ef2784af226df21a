<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Records\Facts;
use App\Support\Metrics\DatabaseNodes;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\Redis;
use Throwable;

/** What only the application knows of its health; ./seam doctor tells it with the rest. */
final class HealthCommand extends Command
{
    protected $signature = 'seam:health';

    protected $description = 'Lines of state, name and sentence, with tabs between';

    public function handle(Migrator $migrator): int
    {
        $pending = $migrator->repositoryExists() ? count(array_diff(array_keys($migrator->getMigrationFiles(database_path('migrations'))), $migrator->getRepository()->getRan())) : null;
        $pending === 0 ? $this->tell('well', 'tables', 'The tables are those of this version.') : $this->tell('ill', 'tables', $pending === null ? 'There are no tables yet: ./seam start makes them.' : "$pending changes of the tables are not made yet: ./seam start makes them.");
        if ($pending === 0) {
            $last = Facts::of(Facts::LAST_BACKUP);
            $days = $last === null ? null : (int) CarbonImmutable::parse($last)->diffInDays(CarbonImmutable::now());
            match (true) {
                $days === null => $this->tell('look', 'backup', 'No backup was made yet: ./seam backup makes one; the scheduler does so each day.'),
                $days > config()->integer('seam.backup.warn_days') => $this->tell('look', 'backup', "The last good backup is $days days old."),
                default => $this->tell('well', 'backup', 'The last good backup is of '.CarbonImmutable::parse($last)->format('j F, H:i').' UTC.'),
            };
        }
        $nodes = DatabaseNodes::read();
        if ($nodes !== null) {
            match (true) {
                ! $nodes->primary => $this->tell('ill', 'nodes', "Only $nodes->in of $nodes->of nodes of the database see each other: nothing is kept until more than half do."),
                $nodes->in < $nodes->of => $this->tell('look', 'nodes', "$nodes->in of $nodes->of nodes of the database are in: one more may not go away."),
                default => $this->tell('well', 'nodes', "All $nodes->of nodes of the database are in."),
            };
        }
        if (config()->string('cache.default') === 'memory') {
            try {
                Redis::connection()->command('ping');
                $this->tell('well', 'memory', 'The memory store answers.');
            } catch (Throwable) {
                $this->tell('look', 'memory', 'The memory store does not answer: the database keeps what it kept, and is asked more.');
            }
        }

        return self::SUCCESS;
    }

    private function tell(string $state, string $name, string $text): void
    {
        $this->line("$state\t$name\t$text");
    }
}
