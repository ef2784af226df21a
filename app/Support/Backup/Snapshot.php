<?php

declare(strict_types=1);

namespace App\Support\Backup;

use App\Records\Facts;
use App\Support\Photos\PhotoAway;
use Illuminate\Database\Connection;

/** The database as it is at one moment, whatever is kept meanwhile: one transaction with a consistent view, as the server's own dump takes it. */
final readonly class Snapshot
{
    public function __construct(private Connection $connection) {}

    /**
     * Writes a part for each table into the folder.
     *
     * @throws BackupBroken when one cannot be written
     */
    public function into(string $folder, string $madeAt): Manifest
    {
        $tables = new Tables($this->connection);
        $pdo = $this->connection->getPdo();
        $pdo->exec('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
        $pdo->exec('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
        try {
            $written = [];
            $photos = ['count' => 0, 'bytes' => 0, 'lost' => 0];
            foreach ($tables->all() as $table => $columns) {
                $image = $table === Tables::PHOTOS ? array_search('image', $columns, true) : false;
                $written[$table] = self::table($tables, $table, $columns, "$folder/$table.jsonl", function (string $line) use ($image, &$photos): void {
                    $picture = $image === false ? null : json_decode($line)[$image];
                    if (is_string($picture)) {
                        $bytes = strlen((string) base64_decode($picture, true));
                        $photos = ['count' => $photos['count'] + 1, 'bytes' => $photos['bytes'] + $bytes, 'lost' => $photos['lost'] + ($bytes === 0 ? 1 : 0)];
                    }
                }) + ['columns' => $columns];
            }

            return new Manifest($madeAt, $tables->migrations(), $written, $photos, $this->rules());
        } catch (PhotoAway) {
            throw BackupBroken::photosAway();
        } finally {
            $pdo->exec('COMMIT');
        }
    }

    private function rules(): ?string
    {
        $rules = $this->connection->getSchemaBuilder()->hasTable('facts') ? $this->connection->table('facts')->where('name', Facts::RULES)->value('value') : null;

        return is_string($rules) ? $rules : null;
    }

    /**
     * @param  list<string>  $columns
     * @param  callable(string): mixed  $written
     * @return array{rows: int, sha256: string}
     */
    private static function table(Tables $tables, string $table, array $columns, string $file, callable $written): array
    {
        $to = @fopen($file, 'wb');
        $to !== false || throw BackupBroken::written($file);
        $hash = hash_init('sha256');
        $rows = 0;
        $tables->eachLine($table, $columns, function (string $line) use ($to, $hash, $file, $written, &$rows): void {
            @fwrite($to, $line) === strlen($line) || throw BackupBroken::written($file);
            hash_update($hash, $line);
            $written($line);
            $rows++;
        });
        fclose($to) || throw BackupBroken::written($file);

        return ['rows' => $rows, 'sha256' => hash_final($hash)];
    }
}
