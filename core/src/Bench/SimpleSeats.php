<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/**
 * Seats given out one student after another, each the choice worth most to them that still finds
 * a machine and a foot: soon done however large the room, and not proven to be the best.
 */
final readonly class SimpleSeats
{
    public static function of(BenchProblem $problem): Seating
    {
        $free = array_fill_keys(array_map(strval(...), array_keys($problem->machines)), true);
        $can = array_map(fn (array $lessons): array => array_fill_keys($lessons, true), $problem->machines);
        $holder = array_flip($problem->held);
        $left = array_map(fn (FootStock $f): int => $f->count, $problem->feet);
        $stocks = self::stocks($problem);
        $open = $seats = [];
        $value = $bound = 0.0;
        foreach ($problem->wants as $student => $wants) {
            $student = (string) $student;
            $wants = array_filter($wants, fn (float $v): bool => $v >= 0);
            arsort($wants);
            $bound += array_values($wants)[0] ?? 0.0;
            foreach ($wants as $lesson => $worth) {
                $lesson = (string) $lesson;
                if (! isset($open[$lesson]) && count($open) >= $problem->mostLessons) {
                    continue;
                }
                $seat = null;
                foreach (self::machines($problem, $student, $free, $holder) as $machine) {
                    if (! isset($can[$machine][$lesson])) {
                        continue;
                    }
                    $kind = $problem->lessons[$lesson];
                    $stock = $kind === null ? null : self::first($stocks[$kind][$machine] ?? [], $left, $problem, $lesson);
                    if ($kind === null || $stock !== null) {
                        $seat = new Seat($student, $lesson, $machine, $stock === null ? null : $problem->feet[$stock]->given(), $stock);
                        break;
                    }
                }
                if ($seat !== null) {
                    $seat->stock === null || $left[$seat->stock]--;
                    unset($free[$seat->machine]);
                    $open[$lesson] = true;
                    $seats[$student] = $seat;
                    $value += $worth;
                    break;
                }
            }
        }

        return new Seating($seats, $value, max($value, $bound), $bound <= $value);
    }

    /**
     * Where the student may sit: their own first, nobody else's who is held there.
     *
     * @param  array<string, true>  $free
     * @param  array<string, string>  $holder
     * @return list<string>
     */
    private static function machines(BenchProblem $problem, string $student, array $free, array $holder): array
    {
        if (isset($problem->held[$student])) {
            return isset($free[$problem->held[$student]]) ? [$problem->held[$student]] : [];
        }
        $all = array_map(strval(...), array_keys(array_diff_key($free, $holder)));
        $own = $problem->at[$student] ?? '';

        return in_array($own, $all, true) ? [$own, ...array_values(array_diff($all, [$own]))] : $all;
    }

    /** @return array<string, array<string, list<int>>> stocks by kind and machine */
    private static function stocks(BenchProblem $problem): array
    {
        $stocks = [];
        foreach ($problem->feet as $i => $foot) {
            foreach ($foot->fits as $machine) {
                $stocks[$foot->kind][$machine][] = $i;
            }
        }

        return $stocks;
    }

    /**
     * @param  list<int>  $stocks
     * @param  array<int, int>  $left
     */
    private static function first(array $stocks, array $left, BenchProblem $problem, string $lesson): ?int
    {
        foreach ($stocks as $stock) {
            if ($left[$stock] > 0 && $problem->feet[$stock]->serves($lesson)) {
                return $stock;
            }
        }

        return null;
    }
}
