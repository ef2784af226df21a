<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\MachineFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Machine as CoreMachine;

/**
 * @property string $name
 * @property string $drive
 * @property string $tension_mark
 * @property bool $usable
 * @property string $note
 * @property array<string, mixed>|null $facts what it can do, as the core reads it
 * @property CarbonImmutable|null $retired_at
 */
final class Machine extends OwnedByStudio
{
    /** @use HasFactory<MachineFactory> */
    use HasFactory;

    /** The ways a machine is driven. */
    public const DRIVES = ['mechanical', 'computerised', 'straight-only'];

    protected $attributes = ['tension_mark' => '4', 'usable' => true, 'note' => ''];

    protected $casts = ['usable' => 'bool', 'facts' => 'array', 'retired_at' => 'immutable_datetime'];

    /** @return Builder<self> machines that stand in the room */
    public static function standing(): Builder
    {
        return self::query()->where('retired_at', null)->orderBy('id');
    }

    /** What was taken out of the room has no address any more. */
    public function resolveRouteBinding($value, $field = null): ?Model
    {
        return is_string($value) ? self::standing()->find($value) : null;
    }

    public function core(): CoreMachine
    {
        return CoreMachine::read(Data::of(['name' => $this->name, 'drive' => $this->drive, 'tension_mark' => $this->tension_mark] + ($this->facts ?? [])));
    }
}
