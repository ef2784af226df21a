<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $course_plan_id
 * @property int $position
 * @property CarbonImmutable $starts_at
 * @property int $minutes
 * @property Collection<int, PlannedLesson> $lessons
 */
final class PlanSession extends OwnedByStudio
{
    protected $casts = ['starts_at' => 'immutable_datetime', 'position' => 'int', 'minutes' => 'int'];

    /** @return HasMany<PlannedLesson, $this> */
    public function lessons(): HasMany
    {
        return $this->hasMany(PlannedLesson::class)->orderBy('position');
    }

    public function endsAt(): CarbonImmutable
    {
        return $this->starts_at->addMinutes($this->minutes);
    }

    /** @return list<string> lesson ids in order */
    public function lessonIds(): array
    {
        return array_values($this->lessons->map(fn (PlannedLesson $l): string => $l->lesson)->all());
    }
}
