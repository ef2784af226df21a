<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Steps of a migration that ask whether they are done: one that was cut short
 * anywhere is run again from the start and ends where it should.
 */
final class SchemaStep
{
    /**
     * A new table. One that is there and empty may be half made, without its keys: it is made anew.
     * One that holds rows was whole when the first of them came.
     */
    public static function table(string $name, Closure $blueprint): void
    {
        if (Schema::hasTable($name)) {
            if (DB::table($name)->exists()) {
                return;
            }
            Schema::withoutForeignKeyConstraints(fn () => Schema::drop($name));
        }
        Schema::create($name, $blueprint);
    }

    /**
     * New columns of a table, those that are not there yet. Keys and indexes are steps of their own.
     *
     * @param  list<string>  $columns
     */
    public static function columns(string $table, array $columns, Closure $blueprint): void
    {
        Schema::hasColumns($table, $columns) || Schema::table($table, function (Blueprint $new) use ($table, $columns, $blueprint): void {
            $blueprint($new);
            foreach ($columns as $column) {
                Schema::hasColumn($table, $column) && $new->removeColumn($column);
            }
        });
    }

    /**
     * An index by its columns.
     *
     * @param  list<string>  $columns
     */
    public static function index(string $table, array $columns, bool $unique = false): void
    {
        $type = $unique ? 'unique' : 'index';
        Schema::hasIndex($table, $columns, $unique ? 'unique' : null) || Schema::table($table, fn (Blueprint $new) => $new->$type($columns));
    }

    /** Rows of a table are written once and never changed. */
    public static function appendOnly(string $table, string $because): void
    {
        DB::unprepared("CREATE OR REPLACE TRIGGER {$table}_append_only BEFORE UPDATE ON $table FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '$because'");
    }

    /** Lifts the guard for a migration that fills a new column. */
    public static function writable(string $table): void
    {
        DB::unprepared("DROP TRIGGER IF EXISTS {$table}_append_only");
    }
}
