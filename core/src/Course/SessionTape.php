<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

/**
 * A session as a tape in minutes: settling in, each lesson's demo, rounds and
 * looking, clearing up.
 *
 * @phpstan-type Piece array{kind: string, from: float, to: float, round: int, lesson: string|null}
 */
final class SessionTape
{
    /** Opening up and finding seats; common practice, no source. */
    public const SETTLE_MINUTES = 5.0;

    /** Machines covered, threads swept; common practice, no source. */
    public const CLEAR_MINUTES = 10.0;

    /** The minutes of a session that lessons can use. */
    public static function usable(float $sessionMinutes): float
    {
        return max(0.0, $sessionMinutes - self::SETTLE_MINUTES - self::CLEAR_MINUTES);
    }

    /**
     * @param  array<string, ClassMinutes>  $lessons  by lesson id, in order
     * @return list<Piece> clearing up comes last; a full session runs past its end
     */
    public static function of(array $lessons, float $sessionMinutes): array
    {
        $tape = [['kind' => 'settle', 'from' => 0.0, 'to' => self::SETTLE_MINUTES, 'round' => 0, 'lesson' => null]];
        $at = self::SETTLE_MINUTES;
        foreach ($lessons as $id => $minutes) {
            foreach ($minutes->spans as $span) {
                $tape[] = ['kind' => $span['kind'], 'from' => $at + $span['from'], 'to' => $at + $span['to'], 'round' => $span['round'], 'lesson' => (string) $id];
            }
            $at += $minutes->minutes;
        }
        $clear = max($at, $sessionMinutes - self::CLEAR_MINUTES);
        if ($clear > $at + 1e-9) {
            $tape[] = ['kind' => 'free', 'from' => $at, 'to' => $clear, 'round' => 0, 'lesson' => null];
        }
        $tape[] = ['kind' => 'clear', 'from' => $clear, 'to' => $clear + self::CLEAR_MINUTES, 'round' => 0, 'lesson' => null];

        return $tape;
    }
}
