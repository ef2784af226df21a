<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Models\Foot;
use App\Models\Machine;
use App\Support\Csv;
use OpenSeam\Core\InputError;

/** The machines and feet of a room as tables for other programs; every fact in a column of its own, lengths in mm. */
final readonly class RoomTables
{
    public const KINDS = ['machines', 'feet'];

    /** @throws InputError for a table there is not */
    public function __invoke(string $of): string
    {
        return match ($of) {
            'machines' => self::table(['name', 'usable', 'note'], array_map(fn (Machine $m): array => [[$m->name, $m->usable, $m->note], $m->core()->facts()], array_values(Machine::standing()->get()->all()))),
            'feet' => self::table(['kind', 'name', 'count'], array_map(fn (Foot $f): array => [[$f->kind, $f->name, $f->count], $f->core()->facts()], array_values(Foot::query()->where('retired_at', null)->orderBy('kind')->get()->all()))),
            default => throw InputError::at('of', $of, 'It must be one of: '.implode(', ', self::KINDS).'.'),
        };
    }

    /**
     * @param  list<string>  $first
     * @param  list<array{list<scalar|null>, array<string, mixed>}>  $rows  what stands first, and the facts
     */
    private static function table(array $first, array $rows): string
    {
        $facts = array_values(array_diff(array_unique(array_merge([], ...array_map(fn (array $r): array => array_keys($r[1]), $rows))), $first));

        return Csv::write([...$first, ...$facts], array_map(fn (array $r): array => [...$r[0], ...array_map(fn (string $name): string|int|float|bool|null => self::plain($r[1][$name] ?? null), $facts)], $rows));
    }

    private static function plain(mixed $fact): string|int|float|bool|null
    {
        return is_array($fact) ? implode('; ', array_map(fn (mixed $f): string => is_array($f) ? json_encode($f, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE) : (string) self::plain($f), $fact)) : (is_scalar($fact) ? $fact : null);
    }
}
