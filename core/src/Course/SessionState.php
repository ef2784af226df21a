<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use DateTimeImmutable;

/** Where a session stands on the clock. Samples are looked at for a while after it has ended. */
enum SessionState: string
{
    case Before = 'before';
    case Running = 'running';
    case After = 'after';

    /** It stays in hand for so long after its end; common practice, no source. */
    public const GRACE_MINUTES = 90;

    public static function at(DateTimeImmutable $starts, DateTimeImmutable $ends, DateTimeImmutable $now): self
    {
        return match (true) {
            $now < $starts => self::Before,
            $now <= $ends => self::Running,
            default => self::After,
        };
    }

    /** Another session takes its place in hand. */
    public static function isOver(DateTimeImmutable $ends, DateTimeImmutable $now): bool
    {
        return $now->getTimestamp() >= $ends->getTimestamp() + self::GRACE_MINUTES * 60;
    }
}
