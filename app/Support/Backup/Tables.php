<?php

declare(strict_types=1);

namespace App\Support\Backup;

use App\Support\Photos\PhotoAway;
use App\Support\Photos\PhotoPlaces;
use Illuminate\Database\Connection;
use PDO;

/**
 * The tables of a database as a backup holds them: rows in the order of their keys, a JSON list of
 * values a line, pictures in base64, also of photos that lie on a disk: as if they lay in their rows.
 * The same rows give the same text, so that two can be compared.
 */
final readonly class Tables
{
    /** What belongs to the day and not to the studio; migrations are named in the manifest. */
    private const LEFT_OUT = ['migrations', 'sessions', 'cache', 'cache_locks', 'password_reset_tokens', 'facts', 'jobs', 'failed_jobs', RestoreProgress::TABLE];

    private const BINARY = ['blob', 'mediumblob', 'longblob', 'tinyblob', 'binary', 'varbinary'];

    public const PHOTOS = 'sample_photos';

    public function __construct(private Connection $connection, private PhotoPlaces $places = new PhotoPlaces) {}

    /** @return array<string, list<string>> columns by table */
    public function all(): array
    {
        $tables = [];
        $rows = $this->connection->select("SELECT c.table_name AS t, c.column_name AS c FROM information_schema.columns c JOIN information_schema.tables t ON t.table_schema = c.table_schema AND t.table_name = c.table_name WHERE c.table_schema = DATABASE() AND t.table_type = 'BASE TABLE' ORDER BY c.table_name, c.ordinal_position");
        foreach ($rows as $row) {
            /** @var object{t: string, c: string} $row */
            in_array($row->t, self::LEFT_OUT, true) || $tables[$row->t][] = $row->c;
        }

        return $tables;
    }

    /** @return list<string> columns that hold bytes */
    public function binary(string $table): array
    {
        $found = $this->connection->select('SELECT column_name AS c FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = ? AND data_type IN ('.implode(',', array_fill(0, count(self::BINARY), '?')).')', [$table, ...self::BINARY]);

        return array_map(fn (object $row): string => (string) ((array) $row)['c'], array_values($found));
    }

    /** @return list<string> */
    public function migrations(): array
    {
        return array_map(strval(...), array_values($this->connection->table('migrations')->orderBy('migration')->pluck('migration')->all()));
    }

    /**
     * Every row as a line, without holding the table in memory.
     *
     * @param  list<string>  $columns
     * @param  callable(string): mixed  $line
     *
     * @throws PhotoAway when the disk of photos cannot be reached
     */
    public function eachLine(string $table, array $columns, callable $line): void
    {
        $binary = array_map(fn (string $c): int => (int) array_search($c, $columns, true), array_intersect($this->binary($table), $columns));
        $key = $this->connection->select("SELECT column_name AS c FROM information_schema.key_column_usage WHERE table_schema = DATABASE() AND table_name = ? AND constraint_name = 'PRIMARY' ORDER BY ordinal_position", [$table]);
        $order = implode(', ', array_map(fn (object $k): string => '`'.((array) $k)['c'].'`', $key));
        $pdo = $this->connection->getPdo();
        $pdo->setAttribute(PDO::MYSQL_ATTR_USE_BUFFERED_QUERY, false);
        try {
            $rows = $pdo->query('SELECT '.implode(', ', array_map(fn (string $c): string => "`$c`", $columns))." FROM `$table`".($order === '' ? '' : " ORDER BY $order"), PDO::FETCH_NUM);
            while ($rows !== false && is_array($row = $rows->fetch())) {
                $row = $table === self::PHOTOS ? $this->inItsRow($row, $columns) : $row;
                foreach ($binary as $at) {
                    $row[$at] = is_string($row[$at]) ? base64_encode($row[$at]) : $row[$at];
                }
                $line(json_encode($row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION)."\n");
            }
            $rows === false || $rows->closeCursor();
        } finally {
            $pdo->setAttribute(PDO::MYSQL_ATTR_USE_BUFFERED_QUERY, true);
        }
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @param  list<string>  $columns
     * @return array<array-key, mixed>
     */
    private function inItsRow(array $row, array $columns): array
    {
        $at = array_flip($columns);
        $disk = isset($at['stored_on']) ? $row[$at['stored_on']] : null;
        if (is_string($disk) && is_string($studio = $row[$at['studio_id']]) && is_string($id = $row[$at['id']])) {
            try {
                $row[$at['image']] = $this->places->read($disk, PhotoPlaces::path($this->connection->getDatabaseName(), $studio, $id));
            } catch (PhotoAway $e) {
                // One that is lost keeps no backup from being made; a disk that is away does.
                $e->forEver || throw $e;
            }
            $row[$at['stored_on']] = null;
        }

        return $row;
    }

    /**
     * Rows and digest of a table as it stands.
     *
     * @param  list<string>  $columns
     * @return array{rows: int, sha256: string}
     */
    public function digest(string $table, array $columns): array
    {
        $hash = hash_init('sha256');
        $rows = 0;
        $this->eachLine($table, $columns, function (string $line) use ($hash, &$rows): void {
            hash_update($hash, $line);
            $rows++;
        });

        return ['rows' => $rows, 'sha256' => hash_final($hash)];
    }

    /** @return array{count: int, bytes: int} photos and what they weigh, where all lie in their rows */
    public function photos(): array
    {
        $photos = $this->connection->table(self::PHOTOS)->selectRaw('count(*) as n, coalesce(sum(length(image)), 0) as bytes')->first();
        /** @var object{n: int|string, bytes: int|string}|null $photos */

        return ['count' => (int) ($photos->n ?? 0), 'bytes' => (int) ($photos->bytes ?? 0)];
    }
}
