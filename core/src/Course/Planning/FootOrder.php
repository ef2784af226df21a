<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** Lessons of one session in an order that holds with the fewest changes of foot; exact, by dynamic programming over sets. */
final class FootOrder
{
    /** More lessons in one session keep the order they have: 2^14 sets are enough to look at. */
    private const MOST = 14;

    /**
     * @param  list<int>  $load  numbers, needs first
     * @return array{list<int>, int} in order, and how often the foot is changed
     */
    public static function of(SessionProblem $problem, array $load): array
    {
        $feet = array_map(fn (int $j): ?string => $problem->tasks[$j]->foot, $load);
        if (count($load) > self::MOST || count(array_unique(array_filter($feet, fn (?string $f): bool => $f !== null))) < 2) {
            return [$load, self::changes($feet)];
        }
        $before = [];
        foreach ($load as $i => $j) {
            $before[$i] = 0;
            foreach ($load as $k => $other) {
                $before[$i] |= SessionProblem::has($problem->before[$j], $other) ? 1 << $k : 0;
            }
        }
        $known = [];
        $best = self::best($feet, $before, 0, null, $known);
        $order = [];
        [$done, $on] = [0, null];
        while (count($order) < count($load)) {
            // Of the orders that are as good, the one nearest to the teacher's.
            foreach ($load as $i => $j) {
                if ((($done >> $i) & 1) === 0 && ($before[$i] & ~$done) === 0) {
                    $change = $feet[$i] !== null && $on !== null && $feet[$i] !== $on ? 1 : 0;
                    if ($change + self::best($feet, $before, $done | 1 << $i, $feet[$i] ?? $on, $known) === self::best($feet, $before, $done, $on, $known)) {
                        $order[] = $j;
                        $done |= 1 << $i;
                        $on = $feet[$i] ?? $on;
                        break;
                    }
                }
            }
        }

        return [$order, $best];
    }

    /** @param  list<string|null>  $feet  in order */
    public static function changes(array $feet): int
    {
        $on = null;
        $changes = 0;
        foreach ($feet as $foot) {
            $changes += $foot !== null && $on !== null && $foot !== $on ? 1 : 0;
            $on = $foot ?? $on;
        }

        return $changes;
    }

    /**
     * @param  list<string|null>  $feet
     * @param  array<int, int>  $before
     * @param  array<string, int>  $known
     *
     * @param-out array<string, int> $known
     */
    private static function best(array $feet, array $before, int $done, ?string $on, array &$known): int
    {
        if ($done === (1 << count($feet)) - 1) {
            return 0;
        }
        $key = "$done:$on";
        if (isset($known[$key])) {
            return $known[$key];
        }
        $least = PHP_INT_MAX;
        foreach ($feet as $i => $foot) {
            if ((($done >> $i) & 1) === 0 && ($before[$i] & ~$done) === 0) {
                $change = $foot !== null && $on !== null && $foot !== $on ? 1 : 0;
                $least = min($least, $change + self::best($feet, $before, $done | 1 << $i, $foot ?? $on, $known));
            }
        }

        return $known[$key] = $least;
    }
}
