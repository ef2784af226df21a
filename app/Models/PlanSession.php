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
use OpenSeam\Core\Course\Beginning;

/**
 * @property string $course_plan_id
 * @property int $position
 * @property CarbonImmutable $starts_at
 * @property int $minutes
 * @property CarbonImmutable|null $begun_at  as somebody said; null: by its hour
 * @property CarbonImmutable|null $ended_at  as somebody said; null: by its hour
 * @property Collection<int, PlannedLesson> $lessons
 * @property BenchPlan|null $benchPlan
 */
final class PlanSession extends OwnedByStudio
{
    /** @use HasFactory<PlanSessionFactory> */
    use HasFactory;

    protected $casts = ['starts_at' => 'immutable_datetime', 'begun_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime', 'position' => 'int', 'minutes' => 'int'];

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

    /** By its hour, or earlier where it was begun earlier. */
    public function beginsAt(): CarbonImmutable
    {
        return $this->starts_at->min($this->begun_at ?? $this->starts_at);
    }

    /** By its hour, or as somebody said. */
    public function endsAt(): CarbonImmutable
    {
        return $this->ended_at ?? $this->wouldEndAt();
    }

    /** It lasts so many minutes where nobody ends it before. */
    public function lasts(): int
    {
        return (int) round($this->beginsAt()->diffInMinutes($this->wouldEndAt()));
    }

    /** What would follow if it were begun now. */
    public function begin(CarbonImmutable $now): Beginning
    {
        return Beginning::at($this->starts_at, $this->minutes, $now);
    }

    private function wouldEndAt(): CarbonImmutable
    {
        return CarbonImmutable::instance($this->begin($this->begun_at ?? $this->starts_at)->ends);
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
