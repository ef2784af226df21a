<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\CoursePlanFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\Repeats;

/**
 * @property string $class_id
 * @property int $version
 * @property array<string, mixed>|null $wishes what the teacher asked for: read by wishes()
 * @property array<string, mixed>|null $dates it was laid on: read by Records\CourseDates
 * @property array<string, mixed>|null $repeats class time kept for sewing again: read by repeats()
 * @property array{version: int, count: int, low: int, proven: bool, bound: string, used: float, usable: float, because: array<string, array{kind: string, lesson: string|null}>, begun: int, shortest?: float|null}|null $proof of the version it was laid at
 * @property Collection<int, PlanSession> $sessions
 */
final class CoursePlan extends OwnedByStudio
{
    /** @use HasFactory<CoursePlanFactory> */
    use HasFactory;

    protected $attributes = ['version' => 1];

    protected $casts = ['version' => 'int', 'wishes' => 'array', 'dates' => 'array', 'repeats' => 'array', 'proof' => 'array'];

    /** @return HasMany<PlanSession, $this> */
    public function sessions(): HasMany
    {
        return $this->hasMany(PlanSession::class)->orderBy('position');
    }

    /** Class time it keeps for sewing lessons again. */
    public function repeats(): Repeats
    {
        return Repeats::of($this->repeats ?? []);
    }

    public function wishes(): PlanWishes
    {
        /** @var array{pins?: array<array-key, int>, not_before?: array<array-key, int>, not_after?: array<array-key, int>, together?: list<list<string>>, home?: list<string>, order?: string} $kept */
        $kept = $this->wishes ?? [];

        return PlanWishes::of($kept);
    }
}
