<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/**
 * Demos one after another, as one teacher can only show one at a time. The order
 * in which the students together wait least: fewest minutes for each who waits
 * for it first (Smith 1956).
 */
final class DemoOrder
{
    /**
     * @param  array<string, float>  $minutes  of each lesson's demo; 0 or missing: nothing to show
     * @return list<array{lesson: string, from: float, to: float}> minutes from the first demo on
     */
    public static function of(Seating $plan, array $minutes): array
    {
        $waiting = [];
        foreach ($plan->seats as $seat) {
            ($minutes[$seat->lesson] ?? 0.0) > 0 && $waiting[$seat->lesson] = ($waiting[$seat->lesson] ?? 0) + 1;
        }
        uksort($waiting, fn (string|int $a, string|int $b): int => $minutes[$a] * $waiting[$b] <=> $minutes[$b] * $waiting[$a]);
        $demos = [];
        $at = 0.0;
        foreach ($waiting as $lesson => $_) {
            $demos[] = ['lesson' => (string) $lesson, 'from' => $at, 'to' => $at += $minutes[$lesson]];
        }

        return $demos;
    }
}
