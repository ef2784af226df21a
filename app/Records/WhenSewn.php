<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use App\Models\SewingClass;
use Carbon\CarbonImmutable;
use OpenSeam\Core\InputError;

/** When a sample was looked at, where it is not now: it waited on a device, or is caught up from paper. */
final readonly class WhenSewn
{
    /** Nobody catches up what is longer ago. */
    private const MOST_DAYS = 400;

    private function __construct(
        public CarbonImmutable $at,
        /** It was sewn in; null: between sessions. */
        public ?string $session,
        /** Somebody said when; otherwise it is as it happens. */
        public bool $said,
    ) {}

    /**
     * @param  CarbonImmutable|null  $at  as the device says; a clock that goes ahead is held to ours
     * @param  string|null  $session  of this class that it was sewn in
     *
     * @throws InputError for a session of another class or one that has not begun, and for a time that is too long ago
     */
    public static function of(SewingClass $class, ?CarbonImmutable $at, ?string $session, CarbonImmutable $now): self
    {
        if ($session !== null) {
            $held = PlanSession::ofClass($class->id)->find($session) ?? throw InputError::at('session', $session, 'There is no such session in this class.');
            $held->beginsAt() <= $now || throw InputError::at('session', $session, 'This session has not begun yet.');

            return new self(min($at ?? $held->endsAt(), $held->endsAt(), $now)->max($held->beginsAt()), $session, true);
        }
        $at === null || $at > $now->subDays(self::MOST_DAYS) || throw InputError::at('sewn_at', $at->toIso8601ZuluString(), sprintf('At most %d days ago.', self::MOST_DAYS));
        $when = $at === null ? $now : $at->min($now);
        $inHand = SessionInHand::of(PlanSession::ofClass($class->id)->get(), $when);

        return new self($when, $inHand?->isOpen($when) === true ? $inHand->session->id : null, $at !== null);
    }
}
