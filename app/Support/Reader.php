<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Role;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Query;
use Illuminate\Support\Facades\DB;

/**
 * Whose eyes a request is seen with: an owner sees all classes of the studio, a teacher own and
 * shared ones, a helper those that meet today. Console work and private links see by their studio alone.
 */
final class Reader
{
    private ?User $user = null;

    public function __construct(private readonly CurrentStudio $studio) {}

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function as(User $user, callable $work): mixed
    {
        $before = $this->user;
        $this->user = $user;
        try {
            return $work();
        } finally {
            $this->user = $before;
        }
    }

    /**
     * @template M of \Illuminate\Database\Eloquent\Model
     *
     * @param  Builder<M>  $query
     * @param  string  $column  that names the class
     */
    public function limit(Builder $query, string $column): void
    {
        if ($this->user === null || $this->user->role === Role::Owner) {
            return;
        }
        $user = $this->user;
        $query->whereIn($column, fn (Query $seen) => $seen->from('classes as seen')->select('seen.id')->where('seen.studio_id', $user->studio_id)
            ->where(fn (Query $q) => $q->where('seen.shared', true)->orWhere('seen.made_by', $user->id))
            ->when($user->role === Role::Helper, fn (Query $q) => $q->whereIn('seen.id', $this->today($user->studio_id))));
    }

    /** Classes with a session on this day in the studio's own zone. */
    private function today(string $studio): Query
    {
        $now = Clock::now()->setTimezone($this->studio->timezone());
        $day = [$now->startOfDay()->utc()->format('Y-m-d H:i:s'), $now->endOfDay()->utc()->format('Y-m-d H:i:s')];

        return DB::table('plan_sessions')->join('course_plans', 'course_plans.id', '=', 'plan_sessions.course_plan_id')->where('plan_sessions.studio_id', $studio)
            ->where(fn (Query $q) => $q->whereBetween('plan_sessions.starts_at', $day)->orWhereBetween('plan_sessions.begun_at', $day))
            ->select('course_plans.class_id');
    }
}
