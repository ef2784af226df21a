<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\CurrentStudio;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use LogicException;

/**
 * A row that belongs to a studio. Every query is limited to the studio in hand,
 * and new rows get it; without one nothing is found. Console work over all
 * studios says so: CurrentStudio::everywhere().
 *
 * @property string $id
 * @property string $studio_id
 */
abstract class OwnedByStudio extends Model
{
    use HasUlids, SoonBooted;

    protected $guarded = [];

    protected static function booted(): void
    {
        static::addGlobalScope('studio', function (Builder $query): void {
            $studio = app(CurrentStudio::class);
            if (! $studio->isEverywhere()) {
                $query->where($query->getModel()->getTable().'.studio_id', $studio->id() ?? '');
            }
        });
        static::creating(function (OwnedByStudio $row): void {
            $studio = app(CurrentStudio::class);
            if (! $studio->isEverywhere()) {
                $row->studio_id = $studio->id() ?? throw new LogicException('No studio is in hand: a row of '.$row->getTable().' would belong to nobody.');
            }
        });
    }
}
