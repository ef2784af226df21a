<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use Carbon\CarbonImmutable;

/** Which session of a plan Today is about: the one running, else the next, else the last. */
final readonly class SessionInHand
{
    /** A session stays in hand this long after its end, for what is still on the table. */
    public const GRACE_MINUTES = 90;

    private function __construct(public PlanSession $session, public string $state) {}

    /** @param  iterable<PlanSession>  $sessions of one class, in order */
    public static function of(iterable $sessions, CarbonImmutable $now): ?self
    {
        $last = null;
        foreach ($sessions as $session) {
            if ($now < $session->endsAt()->addMinutes(self::GRACE_MINUTES)) {
                return new self($session, match (true) {
                    $now < $session->starts_at => 'before',
                    $now <= $session->endsAt() => 'running',
                    default => 'after',
                });
            }
            $last = $session;
        }

        return $last === null ? null : new self($last, 'after');
    }

    /** Open for samples: begun, and not long over. */
    public function isOpen(CarbonImmutable $now): bool
    {
        return $now >= $this->session->starts_at && $now < $this->session->endsAt()->addMinutes(self::GRACE_MINUTES);
    }
}
