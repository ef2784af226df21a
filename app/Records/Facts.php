<?php

declare(strict_types=1);

namespace App\Records;

use App\Support\NearMemory;
use Illuminate\Support\Facades\DB;

/** What the installation itself remembers, of no studio. */
final class Facts
{
    /** Digest of the rules and the curriculum that the standings were worked out by. */
    public const RULES = 'rules';

    /** When this installation was begun, as an ISO time. */
    public const BEGUN = 'begun';

    /** Digest of the link that opens a studio, and until when it does. */
    public const OPENING = 'opening';

    /** When the last backup that was verified was made, as an ISO time. */
    public const LAST_BACKUP = 'last-backup';

    private const LATELY_SECONDS = 60;

    public static function of(string $name): ?string
    {
        return self::these([$name])[$name] ?? null;
    }

    /**
     * Several at once.
     *
     * @param  list<string>  $names
     * @return array<string, string> those that are noted
     */
    public static function these(array $names): array
    {
        return array_filter(DB::table('facts')->whereIn('name', $names)->pluck('value', 'name')->all(), is_string(...));
    }

    /**
     * The same, at most so old: of facts that change once a day.
     *
     * @param  list<string>  $names
     * @return array<string, string>
     */
    public static function lately(array $names): array
    {
        return app(NearMemory::class)->remember('facts/'.implode('/', $names), self::LATELY_SECONDS, fn (): array => self::these($names));
    }

    public static function note(string $name, string $value): void
    {
        DB::table('facts')->upsert([['name' => $name, 'value' => $value, 'noted_at' => now()->utc()->format('Y-m-d H:i:s')]], ['name'], ['value', 'noted_at']);
    }
}
