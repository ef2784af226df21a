<?php

declare(strict_types=1);

namespace App\Support\Backup;

use JsonException;

/** What a backup says that it holds. */
final readonly class Manifest
{
    public const KIND = 'open-seam-backup';

    /** Grows when an older program could not read it any more. */
    public const FORMAT = 1;

    /**
     * @param  list<string>  $migrations  that its tables went through
     * @param  array<string, array{rows: int, sha256: string, columns: list<string>}>  $tables
     * @param  array{count: int, bytes: int, lost: int}  $photos  lost: their files were not where they were put when it was made
     */
    public function __construct(
        public string $madeAt,
        public array $migrations,
        public array $tables,
        public array $photos,
        /** Digest of the rules its standings were worked out by; null: not known. */
        public ?string $rules = null,
    ) {}

    public function rows(): int
    {
        return array_sum(array_column($this->tables, 'rows'));
    }

    public function toJson(): string
    {
        return json_encode([
            'kind' => self::KIND, 'format' => self::FORMAT, 'made_at' => $this->madeAt, 'photos' => $this->photos, 'rules' => $this->rules,
            'migrations' => $this->migrations, 'tables' => $this->tables,
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /** @throws BackupBroken for anything else, or one of a newer format */
    public static function read(string $json): self
    {
        try {
            $read = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw BackupBroken::notABackup();
        }
        is_array($read) && ($read['kind'] ?? null) === self::KIND && is_int($read['format'] ?? null) || throw BackupBroken::notABackup();
        $read['format'] <= self::FORMAT || throw BackupBroken::newer($read['format'], self::FORMAT);
        $read['format'] >= 1 || throw BackupBroken::notABackup();
        is_string($read['made_at'] ?? null) || throw BackupBroken::manifest('it does not say when it was made');
        $migrations = $read['migrations'] ?? null;
        is_array($migrations) && array_is_list($migrations) && array_filter($migrations, is_string(...)) === $migrations && $migrations !== [] || throw BackupBroken::manifest('it does not say of which version it is');
        $tables = [];
        foreach (is_array($read['tables'] ?? null) ? $read['tables'] : [] as $name => $table) {
            preg_match('/^[a-z_]{1,64}$/', (string) $name) === 1 || throw BackupBroken::manifest('a table has an impossible name');
            is_array($table) && is_int($table['rows'] ?? null) && $table['rows'] >= 0 && is_string($table['sha256'] ?? null) && is_array($table['columns'] ?? null)
                && array_filter($table['columns'], fn (mixed $c): bool => is_string($c) && preg_match('/^[a-z0-9_]{1,64}$/', $c) === 1) === $table['columns'] && $table['columns'] !== []
                || throw BackupBroken::manifest("it does not say what “{$name}” holds");
            $tables[(string) $name] = ['rows' => $table['rows'], 'sha256' => $table['sha256'], 'columns' => array_values($table['columns'])];
        }
        $tables !== [] || throw BackupBroken::manifest('it holds no table');
        $photos = is_array($read['photos'] ?? null) ? $read['photos'] : [];

        return new self($read['made_at'], $migrations, $tables, array_map(fn (string $of): int => is_int($photos[$of] ?? null) ? $photos[$of] : 0, ['count' => 'count', 'bytes' => 'bytes', 'lost' => 'lost']), is_string($read['rules'] ?? null) ? $read['rules'] : null);
    }
}
