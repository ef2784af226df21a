<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\Near;

/**
 * How many sessions, in parts, must lie before and behind a lesson when all
 * have the same minutes. What stands behind it is work for one teacher in
 * sequence, longest tail first; a lesson that does not fit into what is left of a
 * session begins the next (Johnson 1988; Scholl 1999, from memory).
 */
final class StationBounds
{
    /** @return list<float> before each lesson, in sessions */
    public static function heads(SessionProblem $problem, float $minutes): array
    {
        return self::of($problem, $minutes, $problem->above, range(0, count($problem->tasks) - 1));
    }

    /** @return list<float> behind each lesson, in sessions */
    public static function tails(SessionProblem $problem, float $minutes): array
    {
        return self::of($problem, $minutes, $problem->after, range(count($problem->tasks) - 1, 0, -1));
    }

    /** Sessions that are needed at least, by the longest way through any lesson. */
    public static function least(SessionProblem $problem, float $minutes): int
    {
        [$heads, $tails] = [self::heads($problem, $minutes), self::tails($problem, $minutes)];
        $least = 1;
        foreach ($problem->minutes as $j => $t) {
            $least = max($least, self::up($heads[$j] + $t / $minutes) + self::up($tails[$j] + $t / $minutes) - 1);
        }

        return $least;
    }

    /** Whole sessions for so many, a rounding error forgiven. */
    public static function up(float $sessions): int
    {
        return (int) ceil($sessions - Near::WHOLE);
    }

    /**
     * @param  list<array{int, int}>  $sets  what counts for each
     * @param  list<int>  $order  what counts comes first
     * @return list<float>
     */
    private static function of(SessionProblem $problem, float $minutes, array $sets, array $order): array
    {
        $found = array_fill(0, count($order), 0.0);
        $done = [];
        foreach ($order as $j) {
            $others = array_values(array_filter($done, fn (int $i): bool => SessionProblem::has($sets[$j], $i)));
            usort($others, fn (int $a, int $b): int => $found[$b] <=> $found[$a]);
            $sum = 0.0;
            $far = 0.0;
            foreach ($others as $i) {
                $sum += $problem->minutes[$i] / $minutes;
                $far = max($far, $sum + $found[$i]);
            }
            $whole = self::up($far);
            $found[$j] = $far + $problem->minutes[$j] / $minutes > $whole + Near::WHOLE ? (float) $whole : $far;
            $done[] = $j;
        }

        return array_values($found);
    }
}
