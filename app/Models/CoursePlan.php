<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $class_id
 * @property int $version
 * @property array{pins: array<array-key, int>, closed: list<string>}|null $wishes pins: session from 0, by lesson; closed: days without a class
 * @property array{version: int, count: int, low: int, proven: bool, bound: string, used: float, usable: float, because: array<string, array{kind: string, lesson: string|null}>, begun: int}|null $proof of the version it was laid at
 * @property Collection<int, PlanSession> $sessions
 */
final class CoursePlan extends OwnedByStudio
{
    protected $attributes = ['version' => 1];

    protected $casts = ['version' => 'int', 'wishes' => 'array', 'proof' => 'array'];

    /** @return HasMany<PlanSession, $this> */
    public function sessions(): HasMany
    {
        return $this->hasMany(PlanSession::class)->orderBy('position');
    }
}
