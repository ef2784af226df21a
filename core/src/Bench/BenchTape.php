<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

use OpenSeam\Core\Course\LessonMinutes;
use OpenSeam\Core\Course\SessionFrame;

/**
 * The rounds of a bench plan as a tape in minutes: in each round the demos that
 * are still to come, one after another, then all sew until the slowest is done.
 *
 * @phpstan-import-type Piece from \OpenSeam\Core\Course\SessionTape
 */
final class BenchTape
{
    /**
     * @param  list<Seating>  $rounds
     * @param  array<string, LessonMinutes>  $minutes  by lesson
     * @param  array<string, true>  $toShow  lessons that somebody sews for the first time
     * @param  float  $from  minutes into the session that the first round begins at
     * @return list<Piece>
     */
    public static function of(array $rounds, array $minutes, array $toShow, SessionFrame $frame, float $from = 0.0): array
    {
        $tape = [];
        $at = $from;
        if ($at === 0.0 && $frame->settle > 0) {
            $tape[] = ['kind' => 'settle', 'from' => 0.0, 'to' => $at = $frame->settle, 'round' => 0, 'lesson' => null];
        }
        foreach ($rounds as $i => $plan) {
            $demos = DemoOrder::of($plan, array_map(fn (LessonMinutes $m): float => $m->demo, array_intersect_key($minutes, $toShow)));
            foreach ($demos as $demo) {
                $tape[] = ['kind' => 'show', 'from' => $at + $demo['from'], 'to' => $at + $demo['to'], 'round' => $i + 1, 'lesson' => $demo['lesson']];
            }
            $at += $demos === [] ? 0.0 : $demos[count($demos) - 1]['to'];
            // Shown once is enough.
            $toShow = array_diff_key($toShow, array_flip(array_column($demos, 'lesson')));
            $sew = max([0.0, ...array_map(fn (string $l): float => $minutes[$l]->sew + $minutes[$l]->inspect, $plan->lessons())]);
            $tape[] = ['kind' => 'sew', 'from' => $at, 'to' => $at += $sew, 'round' => $i + 1, 'lesson' => null];
        }

        return $tape;
    }
}
