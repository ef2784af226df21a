<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use Carbon\CarbonImmutable;
use OpenSeam\Core\Course\SessionState;

/** Which session of a plan Today is about: the one running, else the next, else the last. */
final readonly class SessionInHand
{
    private function __construct(public PlanSession $session, public SessionState $state) {}

    /** @param  iterable<PlanSession>  $sessions of one class, in order */
    public static function of(iterable $sessions, CarbonImmutable $now): ?self
    {
        $last = null;
        foreach ($sessions as $session) {
            if (! SessionState::isOver($session->endsAt(), $now)) {
                // On its last minute a session runs, unless somebody said that this was the end.
                $ended = $session->ended_at !== null && $session->ended_at <= $now;

                return new self($session, $ended ? SessionState::After : SessionState::at($session->beginsAt(), $session->endsAt(), $now));
            }
            $last = $session;
        }

        return $last === null ? null : new self($last, SessionState::After);
    }

    /** Open for samples: begun, and not long over. */
    public function isOpen(CarbonImmutable $now): bool
    {
        return $this->state !== SessionState::Before && ! SessionState::isOver($this->session->endsAt(), $now);
    }
}
