<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\Near;

/** The least sessions a course can take, and which of several bounds says so. */
final class LowerBound
{
    /**
     * Fewer sessions there can never be.
     *
     * @return array{int, Bound} and what says so
     */
    public static function of(SessionProblem $problem): array
    {
        $sum = 0.0;
        for ($m = 0; $sum + Near::DUST < $problem->total(); $m++) {
            $sum += $problem->sessionAt($m);
        }
        $bounds = [Bound::Minutes->value => max(1, $m)];
        // No session is longer than the longest: what is needed of such is needed of shorter ones too.
        $longest = max($problem->capacity, $problem->longest(count($problem->sessionMinutes)));
        $half = $longest / 2;
        $large = count(array_filter($problem->minutes, fn (float $t): bool => $t > $half + Near::DUST));
        $exact = count(array_filter($problem->minutes, fn (float $t): bool => abs($t - $half) <= Near::DUST));
        $bounds[Bound::Large->value] = $large + (int) ceil($exact / 2);
        $third = $longest / 3;
        $sum = 0.0;
        foreach ($problem->minutes as $t) {
            $sum += match (true) {
                $t > 2 * $third + Near::DUST => 1.0,
                abs($t - 2 * $third) <= Near::DUST => 2 / 3,
                $t > $third + Near::DUST => 0.5,
                abs($t - $third) <= Near::DUST => 1 / 3,
                default => 0.0,
            };
        }
        $bounds[Bound::Thirds->value] = (int) ceil($sum - Near::DUST);
        $bounds[Bound::Chain->value] = StationBounds::least($problem, $longest);
        foreach ($problem->tasks as $task) {
            $bounds[Bound::Bounds->value] = max($bounds[Bound::Bounds->value] ?? 0, $task->notBefore + 1);
        }
        $most = max($bounds);

        return [$most, Bound::from((string) array_search($most, $bounds, true))];
    }
}
