<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\FootFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Foot as CoreFoot;

/**
 * A kind of presser foot that the room has, and how many of it.
 *
 * @property string $name
 * @property string $kind
 * @property int $count
 * @property array<string, mixed> $facts its measures, as the core reads them
 * @property CarbonImmutable|null $retired_at
 */
final class Foot extends OwnedByStudio
{
    /** @use HasFactory<FootFactory> */
    use HasFactory;

    protected $table = 'feet';

    protected $casts = ['count' => 'int', 'facts' => 'array', 'retired_at' => 'immutable_datetime'];

    /** @return Builder<self> feet that are in the room */
    public static function standing(): Builder
    {
        return self::query()->where('retired_at', null)->orderBy('id');
    }

    /** What was taken out of the room has no address any more. */
    public function resolveRouteBinding($value, $field = null): ?Model
    {
        return is_string($value) ? self::standing()->find($value) : null;
    }

    /** @param  array<string, mixed>  $facts */
    public static function add(string $studio, array $facts): self
    {
        $foot = self::made($studio, $facts);
        $foot->save();

        return $foot;
    }

    /**
     * One that is not kept yet.
     *
     * @param  array<string, mixed>  $facts
     */
    public static function made(string $studio, array $facts): self
    {
        $core = CoreFoot::read(Data::of($facts));

        return new self(['studio_id' => $studio, 'name' => $core->name, 'kind' => $core->kind->id, 'count' => $core->count, 'facts' => $core->facts()]);
    }

    public function core(): CoreFoot
    {
        return CoreFoot::read(Data::of(['name' => $this->name, 'kind' => $this->kind, 'count' => $this->count] + $this->facts));
    }
}
