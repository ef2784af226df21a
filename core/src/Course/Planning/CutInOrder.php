<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\Near;

/** A course in the teacher's order, cut into sessions (dynamic programming over the places to cut). */
final class CutInOrder
{
    /**
     * The teacher's order cut into so many sessions, the fullest as little full as can be; null where it does not fit.
     *
     * @return list<list<int>>|null
     */
    public static function into(SessionProblem $problem, int $sessions): ?array
    {
        $n = count($problem->tasks);
        $room = $problem->room($sessions);
        // Least fullness of the first lessons in the first sessions, and where the last of these begins.
        /** @var array<int, array<int, array{float, int}>> $best */
        $best = [0 => [0 => [0.0, 0]]];
        foreach ($room as $k => $minutes) {
            for ($to = 0; $to <= $n; $to++) {
                $sum = 0.0;
                $sooner = [0, 0];
                for ($from = $to; $from >= 0 && $sum <= $minutes + Near::DUST; $from--) {
                    if ($from < $to) {
                        $task = $problem->tasks[$from];
                        if ($task->notBefore > $k || ($task->notAfter ?? $k) < $k || SessionProblem::has($sooner, $from)) {
                            break;
                        }
                        $sooner = SessionProblem::union($sooner, $problem->sooner[$from]);
                    }
                    if (isset($best[$k][$from])) {
                        $full = max($best[$k][$from][0], $minutes > 0 ? $sum / $minutes : 0.0);
                        if (! isset($best[$k + 1][$to]) || $full < $best[$k + 1][$to][0] - Near::DUST) {
                            $best[$k + 1][$to] = [$full, $from];
                        }
                    }
                    $sum += $problem->minutes[$from - 1] ?? 0.0;
                }
            }
        }
        if (! isset($best[$sessions][$n])) {
            return null;
        }
        $laid = [];
        for ($k = $sessions, $to = $n; $k > 0; $k--) {
            $from = $best[$k][$to][1];
            array_unshift($laid, $to > $from ? range($from, $to - 1) : []);
            $to = $from;
        }

        return $laid;
    }
}
