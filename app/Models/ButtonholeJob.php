<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Reader;
use Carbon\CarbonImmutable;
use Database\Factories\ButtonholeJobFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A button that is to button a garment, from its measures to its recipe.
 *
 * @property string|null $class_id
 * @property string|null $student_id
 * @property string|null $machine_id
 * @property string|null $foot_id
 * @property array<string, mixed> $job as it was typed
 * @property string $title
 * @property array<string, mixed>|null $recipe
 * @property bool $overruled released before the tests allowed it
 * @property CarbonImmutable|null $released_at
 * @property CarbonImmutable $begun_at
 * @property CarbonImmutable $changed_at
 * @property-read Collection<int, ButtonholeTest> $tests
 */
final class ButtonholeJob extends OwnedByStudio
{
    /** @use HasFactory<ButtonholeJobFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $attributes = ['overruled' => false];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['job' => 'array', 'recipe' => 'array', 'overruled' => 'bool', 'released_at' => 'immutable_datetime', 'begun_at' => 'immutable_datetime', 'changed_at' => 'immutable_datetime'];

    protected static function booted(): void
    {
        parent::booted();
        // What was begun for a class is seen by who sees the class; what was begun just now, by everybody in the room.
        self::addGlobalScope('seen', fn (Builder $query) => $query->where(fn (Builder $q) => $q->whereNull('buttonhole_jobs.class_id')->orWhere(function (Builder $of): void {
            $of->whereNotNull('buttonhole_jobs.class_id');
            app(Reader::class)->limit($of, 'buttonhole_jobs.class_id');
        })));
    }

    /** @return HasMany<ButtonholeTest, $this> oldest first */
    public function tests(): HasMany
    {
        return $this->hasMany(ButtonholeTest::class, 'job_id')->orderBy('sewn_at')->orderBy('id');
    }
}
