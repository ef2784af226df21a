<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $course_plan_id
 * @property int $position
 * @property CarbonImmutable $starts_at
 * @property int $minutes
 * @property Collection<int, PlannedLesson> $lessons
 * @property string|null $laid lesson ids with commas between, only when read by ofClass() with them
 */
final class PlanSession extends OwnedByStudio
{
    private const BENCH = ['id', 'version', 'most_lessons', 'held', 'away', 'seats', 'tape', 'started_at'];

    protected $casts = ['starts_at' => 'immutable_datetime', 'position' => 'int', 'minutes' => 'int'];

    /** @return HasMany<PlannedLesson, $this> */
    public function lessons(): HasMany
    {
        return $this->hasMany(PlannedLesson::class)->orderBy('position');
    }

    /**
     * The sessions of a class in order.
     *
     * @return Builder<self>
     */
    public static function ofClass(string $class, bool $withLessons = false): Builder
    {
        return self::query()->select('plan_sessions.*')
            ->addSelect($withLessons ? ['laid' => PlannedLesson::query()->selectRaw("group_concat(lesson order by position separator ',')")->whereColumn('plan_session_id', 'plan_sessions.id')->where('at_home', false)] : [])
            ->when($withLessons, fn (Builder $q) => $q->leftJoin('bench_plans', 'bench_plans.plan_session_id', '=', 'plan_sessions.id')
                ->selectRaw(implode(', ', array_map(fn (string $c): string => "bench_plans.$c as bench_$c", self::BENCH))))
            ->join('course_plans', 'course_plans.id', '=', 'plan_sessions.course_plan_id')
            ->where('course_plans.class_id', $class)->orderBy('plan_sessions.position');
    }

    /** Its bench plan as read by ofClass() with the lessons; an empty one where there is none yet. */
    public function bench(): BenchPlan
    {
        $own = $this->getAttributes();
        if (($own['bench_id'] ?? null) === null) {
            return new BenchPlan(['plan_session_id' => $this->id]);
        }
        $kept = [];
        foreach (self::BENCH as $column) {
            $kept[$column] = $own["bench_$column"];
        }

        return (new BenchPlan)->newFromBuilder($kept + ['plan_session_id' => $this->id, 'studio_id' => $this->studio_id]);
    }

    public function endsAt(): CarbonImmutable
    {
        return $this->starts_at->addMinutes($this->minutes);
    }

    /** @return list<string> ids of the lessons taught in it, in order */
    public function lessonIds(): array
    {
        if ($this->hasAttribute('laid')) {
            return $this->laid === null ? [] : explode(',', $this->laid);
        }

        return array_values($this->lessons->where('at_home', false)->map(fn (PlannedLesson $l): string => $l->lesson)->all());
    }

    /** @return list<string> ids of the lessons sewn at home after it */
    public function homeIds(): array
    {
        return array_values($this->lessons->where('at_home', true)->map(fn (PlannedLesson $l): string => $l->lesson)->all());
    }
}
