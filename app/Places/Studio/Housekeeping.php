<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\Enrolment;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\Studio;
use App\Records\Standings;
use App\Support\CurrentStudio;
use Illuminate\Support\Facades\DB;

/** What time does: classes that ended are put away and deleted as the owner set it, what was deleted goes for good, what is of the day is swept out. */
final readonly class Housekeeping
{
    public function __construct(private CurrentStudio $studio, private Remove $remove, private Standings $standings) {}

    public function __invoke(): void
    {
        foreach (Studio::query()->orderBy('id')->get() as $studio) {
            $studio->deleted_at !== null && $studio->deleted_at < now()->subDays(Remove::UNDO_DAYS)
                ? $studio->delete()
                : $this->studio->within($studio->id, fn () => $this->sweep($studio));
        }
        DB::table('sessions')->where('last_activity', '<', time() - 60 * config()->integer('session.lifetime'))->delete();
        DB::table('cache')->where('expiration', '<', time())->delete();
        DB::table('cache_locks')->where('expiration', '<', time())->delete();
        DB::table('password_reset_tokens')->where('created_at', '<', now()->subDay())->delete();
        DB::table('invitations')->where('expires_at', '<', now()->subDays(Remove::UNDO_DAYS))->delete();
    }

    private function sweep(Studio $studio): void
    {
        $this->ended($studio->archive_after_days)->whereNull('archived_at')->update(['archived_at' => now()]);
        $this->standings->letGo();
        $studio->delete_after_days === null || $this->ended($studio->delete_after_days)->whereNotNull('archived_at')->get()->each(fn (SewingClass $c) => $c->delete());
        $over = now()->subDays(Remove::UNDO_DAYS);
        SewingClass::query()->onlyTrashed()->where('deleted_at', '<', $over)->get()->each($this->remove->classForGood(...));
        Student::query()->onlyTrashed()->where('deleted_at', '<', $over)->get()->each(fn (Student $s) => $s->forceDelete());
        Enrolment::query()->onlyTrashed()->where('deleted_at', '<', $over)->get()->each(fn (Enrolment $e) => $e->forceDelete());
    }

    /**
     * Classes whose last session was so many days ago.
     *
     * @return \Illuminate\Database\Eloquent\Builder<SewingClass>
     */
    private function ended(int $days): \Illuminate\Database\Eloquent\Builder
    {
        $before = now()->subDays($days)->format('Y-m-d H:i:s');
        $of = fn () => PlanSession::query()->join('course_plans', 'course_plans.id', '=', 'plan_sessions.course_plan_id')->whereColumn('course_plans.class_id', 'classes.id');

        return SewingClass::query()->whereExists($of()->selectRaw('1')->toBase())->whereNotExists($of()->selectRaw('1')->where('plan_sessions.starts_at', '>', $before)->toBase());
    }
}
