<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Near;

/**
 * A session as a tape in minutes: settling in, looking back where it is time
 * for it, each lesson's demo, rounds and looking, clearing up.
 *
 * @phpstan-type Piece array{kind: string, from: float, to: float, round: int, lesson: string|null}
 */
final class SessionTape
{
    /**
     * @param  array<string, ClassMinutes>  $lessons  by lesson id, in order
     * @param  int  $session  counted from 0
     * @return list<Piece> clearing up comes last; a full session runs past its end
     */
    public static function of(array $lessons, float $sessionMinutes, SessionFrame $frame, int $session = 0): array
    {
        $tape = [];
        $at = 0.0;
        foreach (['settle' => $frame->settle, 'review' => $frame->reviewAt($session)] as $kind => $minutes) {
            if ($minutes > 0) {
                $tape[] = ['kind' => $kind, 'from' => $at, 'to' => $at + $minutes, 'round' => 0, 'lesson' => null];
                $at += $minutes;
            }
        }
        foreach ($lessons as $id => $minutes) {
            foreach ($minutes->spans as $span) {
                $tape[] = ['kind' => $span['kind'], 'from' => $at + $span['from'], 'to' => $at + $span['to'], 'round' => $span['round'], 'lesson' => (string) $id];
            }
            $at += $minutes->minutes;
        }
        $clear = max($at, $sessionMinutes - $frame->clear);
        if ($clear > $at + Near::DUST) {
            $tape[] = ['kind' => 'free', 'from' => $at, 'to' => $clear, 'round' => 0, 'lesson' => null];
        }
        $frame->clear > 0 && $tape[] = ['kind' => 'clear', 'from' => $clear, 'to' => $clear + $frame->clear, 'round' => 0, 'lesson' => null];

        return $tape;
    }

    /**
     * Lessons that are not looked at in time when a session begins late.
     *
     * @param  list<Piece>  $tape
     * @param  float  $late  minutes
     * @return list<string> ids, in order
     */
    public static function lost(array $tape, float $sessionMinutes, SessionFrame $frame, float $late): array
    {
        $past = array_filter($tape, fn (array $p): bool => $p['lesson'] !== null && $sessionMinutes - $frame->clear + Near::DUST < $p['to'] + $late && $p['to'] <= $sessionMinutes - $frame->clear + Near::DUST);

        return array_values(array_unique(array_map(fn (array $p): string => (string) $p['lesson'], $past)));
    }
}
