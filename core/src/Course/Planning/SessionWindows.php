<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\Near;

/** The sessions each lesson may stand in: what a search does not have to look at. */
final readonly class SessionWindows
{
    /**
     * @param  array<int, int>  $early  first session of each lesson
     * @param  array<int, int>  $late  last session of each lesson
     * @param  list<int>  $byLate  lessons in the order of their last session
     */
    private function __construct(public array $early, public array $late, public array $byLate) {}

    /**
     * From what stands before and behind each lesson.
     *
     * @param  list<float>  $room  minutes of each session
     * @return self|null null: some lesson fits into none of its sessions
     */
    public static function of(SessionProblem $p, array $room): ?self
    {
        $m = count($room);
        $n = count($p->tasks);
        $early = $late = array_fill(0, $n, 0);
        // What must lie before and behind a lesson is known better than by adding up; no session is longer than the longest.
        $longest = max([0.0, ...$room]);
        if ($longest < Near::DUST) {
            return $n === 0 ? new self([], [], []) : null;
        }
        $heads = StationBounds::heads($p, $longest);
        $tails = StationBounds::tails($p, $longest);
        for ($j = 0; $j < $n; $j++) {
            $e = max($p->tasks[$j]->notBefore, StationBounds::up($heads[$j] + $p->minutes[$j] / $longest) - 1);
            foreach ($p->needs[$j] as $need) {
                $e = max($e, $early[$need] + (SessionProblem::has($p->sooner[$j], $need) ? 1 : 0));
            }
            $sum = 0.0;
            for ($k = 0; $k < $m && ($sum += $room[$k]) + Near::DUST < $p->headMinutes[$j] + $p->minutes[$j]; $k++);
            $e = max($e, $k);
            while ($e < $m && $p->minutes[$j] > $room[$e] + Near::DUST) {
                $e++;
            }
            $early[$j] = $e;
        }
        for ($j = $n - 1; $j >= 0; $j--) {
            $l = min($m - StationBounds::up($tails[$j] + $p->minutes[$j] / $longest), $p->tasks[$j]->notAfter ?? $m - 1);
            foreach ($p->next[$j] as $next) {
                $l = min($l, $late[$next] - (SessionProblem::has($p->sooner[$next], $j) ? 1 : 0));
            }
            $sum = 0.0;
            for ($k = $m - 1; $k >= 0 && ($sum += $room[$k]) + Near::DUST < $p->tailMinutes[$j] + $p->minutes[$j]; $k--);
            $l = min($l, $k);
            while ($l >= 0 && $p->minutes[$j] > $room[$l] + Near::DUST) {
                $l--;
            }
            $late[$j] = $l;
            if ($l < $early[$j]) {
                return null;
            }
        }
        $byLate = range(0, max(0, $n - 1));
        usort($byLate, fn (int $a, int $b): int => $late[$a] <=> $late[$b]);

        return new self($early, $late, $byLate);
    }
}
