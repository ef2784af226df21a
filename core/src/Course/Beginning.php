<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use DateTimeImmutable;

/**
 * What follows when a session begins now and not at its hour. A little early or
 * late, its end stays: whoever comes to fetch somebody does so at the hour that
 * was said. Begun on another day, or hours before, it is held then and as long
 * as it was planned.
 */
final readonly class Beginning
{
    /** Nobody calls that early or late; common practice, no source. */
    public const ON_TIME_MINUTES = 5;

    /** Begun earlier than that before its hour, a session is held at another time. */
    public const SAME_MINUTES = SessionState::GRACE_MINUTES;

    private function __construct(
        /** early, on-time, late or moved */
        public string $kind,
        /** Minutes early or late, whole. */
        public int $by,
        public DateTimeImmutable $ends,
        /** Minutes that are left of it. */
        public int $left,
    ) {}

    /** @param  int  $minutes  that it is planned to last */
    public static function at(DateTimeImmutable $starts, int $minutes, DateTimeImmutable $now): self
    {
        $late = intdiv($now->getTimestamp() - $starts->getTimestamp(), 60);
        $moved = $late < -self::SAME_MINUTES;
        $ends = ($moved ? $now : $starts)->modify("+$minutes minutes");

        return new self(
            match (true) {
                $moved => 'moved',
                abs($late) <= self::ON_TIME_MINUTES => 'on-time',
                $late < 0 => 'early',
                default => 'late',
            },
            abs($late), $ends, max(0, intdiv($ends->getTimestamp() - $now->getTimestamp(), 60)),
        );
    }
}
