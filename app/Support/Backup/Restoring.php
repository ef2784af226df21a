<?php

declare(strict_types=1);

namespace App\Support\Backup;

use Illuminate\Database\Connection;
use Illuminate\Database\Migrations\Migrator;

/**
 * Puts a backup into an empty database: the tables as this program's own migrations made them at the
 * backup's version, the rows as they lie in the file, everything compared, then brought up to date.
 * Stopped or killed, it goes on where it was when it is called again with the same file.
 */
final readonly class Restoring
{
    private const ROWS_AT_ONCE = 500;

    private const BYTES_AT_ONCE = 4_000_000;

    /** Rows that are confirmed together. Small enough for a database of several nodes, which sends them as one. */
    private const ROWS_CONFIRMED = 20_000;

    public function __construct(private Connection $connection, private Migrator $migrator, private string $migrations) {}

    /** @throws BackupBroken when it does not fit, or what lies in the database in the end is not what the backup says */
    public function from(Archive $archive): void
    {
        $archive->verify();
        $files = $this->migrator->getMigrationFiles($this->migrations);
        foreach ($archive->manifest->migrations as $migration) {
            isset($files[$migration]) || throw BackupBroken::newerTables($migration);
        }
        $this->migrate(array_intersect_key($files, array_flip($archive->manifest->migrations)));
        $progress = new RestoreProgress($this->connection);
        if (! $progress->isCompared()) {
            $tables = new Tables($this->connection);
            $this->fits($archive->manifest, $tables);
            // In any order: whether every row finds the one it belongs to is asked at the end.
            $this->connection->statement('SET SESSION foreign_key_checks = 0');
            foreach (array_keys($archive->manifest->tables) as $table) {
                $this->load($archive, $tables, $table, $progress);
            }
            $this->connection->statement('SET SESSION foreign_key_checks = 1');
            $this->compare($archive->manifest, $tables);
            $this->noOrphans();
            $progress->noteCompared();
        }
        $this->migrate($files);
    }

    /** @param  array<string, string>  $files  by name */
    private function migrate(array $files): void
    {
        $this->migrator->usingConnection($this->connection->getName() ?? '', function () use ($files): void {
            $this->migrator->repositoryExists() || $this->migrator->getRepository()->createRepository();
            $ran = $this->migrator->getRepository()->getRan();
            $pending = array_values(array_diff_key($files, array_flip($ran)));
            $this->migrator->requireFiles($pending);
            $this->migrator->runPending($pending);
        });
    }

    private function fits(Manifest $manifest, Tables $tables): void
    {
        $there = $tables->all();
        array_keys($there) === array_keys($manifest->tables) || throw BackupBroken::doesNotFit('other tables: '.implode(', ', array_merge(array_diff(array_keys($there), array_keys($manifest->tables)), array_diff(array_keys($manifest->tables), array_keys($there)))));
        foreach ($manifest->tables as $table => ['columns' => $columns]) {
            // The order of columns that came in two ways may differ; which they are may not.
            array_diff($columns, $there[$table]) === [] && array_diff($there[$table], $columns) === [] || throw BackupBroken::doesNotFit("“{$table}” has other columns");
        }
    }

    private function load(Archive $archive, Tables $tables, string $table, RestoreProgress $progress): void
    {
        $there = $progress->rows($table);
        if ($there === $archive->manifest->tables[$table]['rows']) {
            return;
        }
        $columns = $archive->manifest->tables[$table]['columns'];
        $binary = array_intersect($columns, $tables->binary($table));
        $batch = [];
        $bytes = $new = 0;
        $this->connection->beginTransaction();
        $archive->eachRow($table, function (array $row, string $line) use ($table, $columns, $binary, $progress, $there, &$batch, &$bytes, &$new): void {
            $named = array_combine($columns, $row);
            foreach ($binary as $column) {
                $value = $named[$column];
                $named[$column] = is_string($value) ? base64_decode($value, true) : $value;
                $named[$column] !== false || throw BackupBroken::entry($table, 'holds a picture that cannot be read');
            }
            $batch[] = $named;
            $bytes += strlen($line);
            $new++;
            if (count($batch) >= self::ROWS_AT_ONCE || $bytes >= self::BYTES_AT_ONCE) {
                $this->connection->table($table)->insert($batch);
                // Photos are confirmed as they come: a transaction of all of them would be too large.
                if ($new % self::ROWS_CONFIRMED < self::ROWS_AT_ONCE || $bytes >= self::BYTES_AT_ONCE) {
                    $progress->note($table, $there + $new);
                    $this->connection->commit();
                    $this->connection->beginTransaction();
                }
                [$batch, $bytes] = [[], 0];
            }
        }, $there);
        $batch === [] || $this->connection->table($table)->insert($batch);
        $progress->note($table, $there + $new);
        $this->connection->commit();
    }

    private function compare(Manifest $manifest, Tables $tables): void
    {
        foreach ($manifest->tables as $table => $of) {
            $is = $tables->digest($table, $of['columns']);
            $is['rows'] === $of['rows'] && hash_equals($of['sha256'], $is['sha256']) || throw BackupBroken::entry($table, 'did not come out as it lies in the file');
        }
        $tables->photos() === array_diff_key($manifest->photos, ['lost' => 0]) || throw BackupBroken::entry('photos', 'did not come out as they lie in the file');
    }

    /** Every row that belongs to another one finds it. */
    private function noOrphans(): void
    {
        $keys = $this->connection->select('SELECT table_name AS t, column_name AS c, referenced_table_name AS rt, referenced_column_name AS rc FROM information_schema.key_column_usage WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL');
        foreach ($keys as $key) {
            /** @var object{t: string, c: string, rt: string, rc: string} $key */
            $orphan = $this->connection->selectOne("SELECT 1 AS x FROM `{$key->t}` AS child LEFT JOIN `{$key->rt}` AS parent ON parent.`{$key->rc}` = child.`{$key->c}` WHERE child.`{$key->c}` IS NOT NULL AND parent.`{$key->rc}` IS NULL LIMIT 1");
            $orphan === null || throw BackupBroken::doesNotFit("a row of “{$key->t}” belongs to one that is not there");
        }
    }
}
