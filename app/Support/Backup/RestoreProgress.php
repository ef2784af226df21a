<?php

declare(strict_types=1);

namespace App\Support\Backup;

use Illuminate\Database\Connection;
use Illuminate\Database\Schema\Blueprint;

/** How far a restore is, kept in the database that it fills, each step with what it is about: one that was stopped goes on there. */
final readonly class RestoreProgress
{
    public const TABLE = 'restore_progress';

    /** Stands for: all is loaded, compared, and only this version's own changes are left. */
    private const COMPARED = '(compared)';

    public function __construct(private Connection $connection)
    {
        $schema = $this->connection->getSchemaBuilder();
        $schema->hasTable(self::TABLE) || $schema->create(self::TABLE, function (Blueprint $table): void {
            $table->string('of', 64)->primary();
            $table->unsignedBigInteger('rows');
        });
    }

    /** Rows of a table that are there already. */
    public function rows(string $table): int
    {
        $rows = $this->connection->table(self::TABLE)->where('of', $table)->value('rows');

        return is_numeric($rows) ? (int) $rows : 0;
    }

    public function all(): int
    {
        return (int) $this->connection->table(self::TABLE)->sum('rows');
    }

    /** In the transaction that the rows come with. */
    public function note(string $table, int $rows): void
    {
        $this->connection->table(self::TABLE)->upsert([['of' => $table, 'rows' => $rows]], ['of'], ['rows']);
    }

    public function isCompared(): bool
    {
        return $this->connection->table(self::TABLE)->where('of', self::COMPARED)->exists();
    }

    public function noteCompared(): void
    {
        $this->note(self::COMPARED, 0);
    }

    public function over(): void
    {
        $this->connection->getSchemaBuilder()->drop(self::TABLE);
    }
}
