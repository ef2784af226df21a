<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\PlanSessionFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @property string $course_plan_id
 * @property int $position
 * @property CarbonImmutable $starts_at
 * @property int $minutes
 * @property Collection<int, PlannedLesson> $lessons
 * @property BenchPlan|null $benchPlan
 */
final class PlanSession extends OwnedByStudio
{
    /** @use HasFactory<PlanSessionFactory> */
    use HasFactory;

    protected $casts = ['starts_at' => 'immutable_datetime', 'position' => 'int', 'minutes' => 'int'];

    /** @return HasMany<PlannedLesson, $this> */
    public function lessons(): HasMany
    {
        return $this->hasMany(PlannedLesson::class)->orderBy('position');
    }

    /** @return HasOne<BenchPlan, $this> */
    public function benchPlan(): HasOne
    {
        return $this->hasOne(BenchPlan::class);
    }

    /**
     * The sessions of a class in order.
     *
     * @return Builder<self>
     */
    public static function ofClass(string $class, bool $withLessons = false): Builder
    {
        return self::query()->select('plan_sessions.*')->with($withLessons ? ['lessons', 'benchPlan'] : [])
            ->join('course_plans', 'course_plans.id', '=', 'plan_sessions.course_plan_id')
            ->where('course_plans.class_id', $class)->orderBy('plan_sessions.position');
    }

    /** Its bench plan; an empty one where there is none yet. */
    public function bench(): BenchPlan
    {
        return $this->benchPlan ?? new BenchPlan(['plan_session_id' => $this->id]);
    }

    public function endsAt(): CarbonImmutable
    {
        return $this->starts_at->addMinutes($this->minutes);
    }

    /** @return list<string> ids of the lessons taught in it, in order */
    public function lessonIds(): array
    {
        return array_values($this->lessons->where('at_home', false)->map(fn (PlannedLesson $l): string => $l->lesson)->all());
    }

    /** @return list<string> ids of the lessons sewn at home after it */
    public function homeIds(): array
    {
        return array_values($this->lessons->where('at_home', true)->map(fn (PlannedLesson $l): string => $l->lesson)->all());
    }
}
