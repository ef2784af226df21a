<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Records\Facts;
use App\Support\Metrics\DatabaseNodes;
use App\Support\Photos\MovePhotos;
use App\Support\Photos\PhotoPlaces;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\Redis;
use Illuminate\Support\Facades\Storage;
use Throwable;

/** What only the application knows of its health; ./seam doctor tells it with the rest. */
final class HealthCommand extends Command
{
    protected $signature = 'seam:health';

    protected $description = 'Lines of state, name and sentence, with tabs between';

    public function handle(Migrator $migrator, MovePhotos $photos): int
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
        $pending !== 0 || $this->photos($photos);
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

    private function photos(MovePhotos $photos): void
    {
        $set = config()->string('seam.photos');
        $to = PhotoPlaces::wanted();
        if ($to === null && $set !== PhotoPlaces::DATABASE) {
            $this->tell('ill', 'photos', "SEAM_PHOTOS says “{$set}”: it is one of ".implode(', ', [PhotoPlaces::DATABASE, ...PhotoPlaces::DISKS]).'. Photos stay in the database until then.');

            return;
        }
        try {
            $to === null || Storage::disk($to)->exists('anything');
            $waiting = $photos->waiting($to);
            $where = ['disk' => 'on the disk', 's3' => 'in the store'][$to ?? ''] ?? 'in the database';
            $this->tell('well', 'photos', $waiting === 0 ? "All photos lie $where." : "Photos belong $where: $waiting are still to be moved; the scheduler does so every ten minutes.");
        } catch (Throwable) {
            $this->tell('look', 'photos', 'The place where photos lie does not answer: new ones wait in the database, the others cannot be seen.');
        }
    }

    private function tell(string $state, string $name, string $text): void
    {
        $this->line("$state\t$name\t$text");
    }
}
