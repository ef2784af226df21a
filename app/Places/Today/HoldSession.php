<?php

declare(strict_types=1);

namespace App\Places\Today;

use App\Models\BenchPlan;
use App\Models\PlanSession;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Support\Clock;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Course\SessionState;
use OpenSeam\Core\InputError;

/** A session is ended when it is over, not when the clock says so, and either is taken back. */
final readonly class HoldSession
{
    /** @throws InputError for a session that has not begun or is long over */
    public function end(SewingClass $class, string $id): void
    {
        $this->change($class, $id, function (PlanSession $session): void {
            $now = Clock::now();
            $session->beginsAt() <= $now || throw InputError::at('session', $session->position + 1, 'This session has not begun.');
            SessionState::isOver($session->endsAt(), $now) && throw InputError::at('session', $session->position + 1, 'This session is over already.');
            $session->ended_at ??= $now;
        });
    }

    /** @throws InputError for one that is long over */
    public function goOn(SewingClass $class, string $id): void
    {
        $this->change($class, $id, function (PlanSession $session): void {
            SessionState::isOver($session->endsAt(), Clock::now()) && throw InputError::at('session', $session->position + 1, 'This session is long over; samples of it are kept under its number.');
            $session->ended_at = null;
        });
    }

    /** @throws InputError where samples of it are kept already */
    public function notBegun(SewingClass $class, string $id): void
    {
        $this->change($class, $id, function (PlanSession $session): void {
            Sample::query()->where('plan_session_id', $session->id)->exists() && throw InputError::at('session', $session->position + 1, 'Samples of this session are kept; it has begun.');
            $session->fill(['begun_at' => null, 'ended_at' => null]);
            BenchPlan::query()->where('plan_session_id', $session->id)->update(['started_at' => null]);
        });
    }

    /** @param  callable(PlanSession): void  $change */
    private function change(SewingClass $class, string $id, callable $change): void
    {
        DB::transaction(function () use ($class, $id, $change): void {
            SewingClass::query()->whereKey($class->id)->lockForUpdate()->first();
            $session = PlanSession::ofClass($class->id)->where('plan_sessions.id', $id)->firstOrFail();
            $change($session);
            $session->save();
            // Whoever else looks at the class sees it within seconds.
            $bench = $session->bench();
            $bench->studio_id = $class->studio_id;
            $bench->version++;
            $bench->save();
        });
    }
}
