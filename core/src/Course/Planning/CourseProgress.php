<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\Measure\Verdict;

/** When a lesson that was shown is done with, for the class as a whole. */
final class CourseProgress
{
    /** Share of those looked at who have it; below it the lesson is shown to all again. Common practice, no source. */
    public const ENOUGH = 0.5;

    /** Neither here nor there: half. */
    private const HALF = 0.5;

    /**
     * @param  array<array-key, Verdict>  $best  the best verdict of each student who has sewn it
     * @param  int  $lookedAt  students who were looked at in its session or have sewn it
     */
    public static function holds(array $best, int $lookedAt): bool
    {
        $have = array_sum(array_map(fn (Verdict $v): float => match ($v) {
            Verdict::Met => 1.0,
            Verdict::NotYet => 0.0,
            default => self::HALF,
        }, $best));

        return $have > 0 && $have >= self::ENOUGH * $lookedAt;
    }

    /** The better of two verdicts of one student. */
    public static function better(?Verdict $a, Verdict $b): Verdict
    {
        $rank = fn (?Verdict $v): int => match ($v) {
            Verdict::Met => 3,
            Verdict::Near => 2,
            Verdict::NotYet, null => 0,
            default => 1,
        };

        return $a !== null && $rank($a) >= $rank($b) ? $a : $b;
    }
}
