<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

use OpenSeam\Core\Deadline;
use OpenSeam\Core\Near;

/**
 * The seating of most value, exact: branch and bound over which lessons run at
 * once, and for each choice a flow (SeatFlow). Bound: what is open already plus
 * the largest gains that lessons still to be opened could bring; the value of a
 * set of lessons is submodular when machines and feet are bounded lesson by
 * lesson (Nemhauser, Wolsey & Fisher 1978), so gains only shrink. Feet that two
 * lessons share are divided by branching. Beyond the limit of work, or after the
 * deadline, the best plan found stands, with what is proven about it; a room too
 * large for a flow is seated simply.
 */
final class BenchSolver
{
    /** Flows that are worked out at most; about a millisecond each. */
    public const MOST_FLOWS = 20_000;

    /** Pairs of lesson and foot times machines: more than that, and a single flow takes seconds. */
    private const MOST_CHOICES = 60_000;

    private int $flows = 0;

    /** @var array{value: float, seats: list<array{int, int, int, int}>} student, lesson, stock, group */
    private array $best = ['value' => -1.0, 'seats' => []];

    private float $open = -INF;

    private readonly BenchNumbers $in;

    private readonly BenchGains $gains;

    private function __construct(private readonly BenchProblem $problem, private readonly int $mostFlows, private readonly Deadline $deadline)
    {
        $this->in = new BenchNumbers($problem);
        $this->gains = new BenchGains($this->in->values, $this->in->caps, $this->in->places);
    }

    /** @param  Deadline|null  $deadline  null: limited by flows alone, the same on every machine */
    public static function solve(BenchProblem $problem, int $mostFlows = self::MOST_FLOWS, ?Deadline $deadline = null): Seating
    {
        $simple = SimpleSeats::of($problem);
        if (self::choices($problem) > self::MOST_CHOICES || $deadline?->passed() === true) {
            return $simple;
        }
        $solver = new self($problem, $mostFlows, $deadline ?? Deadline::never());
        $solver->search();
        if ($simple->value > $solver->best['value']) {
            // Cut off before it had found as much.
            return new Seating($simple->seats, $simple->value, max($simple->value, min($simple->upperBound, max($solver->open, $solver->best['value']))), false);
        }
        $value = array_sum(array_map(fn (array $s): float => $problem->wants[$solver->in->students[$s[0]]][$solver->in->lessons[$s[1]]], $solver->best['seats']));
        $proven = $solver->open <= $solver->best['value'] + Near::DUST * max(1.0, $value);
        $seats = (new SeatMachines($problem, $solver->in->groups))->assign(array_map(
            fn (array $s): array => [$solver->in->students[$s[0]], $solver->in->lessons[$s[1]], $s[2] < 0 ? null : $s[2], $s[3]], $solver->best['seats'],
        ));

        return new Seating($seats, $value, $proven ? $value : max($value, min($solver->open, $simple->upperBound)), $proven);
    }

    private static function choices(BenchProblem $problem): int
    {
        $kinds = array_count_values(array_map(fn (FootStock $f): string => $f->kind, $problem->feet));

        return count($problem->machines) * array_sum(array_map(fn (?string $kind): int => $kind === null ? 1 : $kinds[$kind] ?? 0, $problem->lessons));
    }

    private function isOver(): bool
    {
        return $this->flows >= $this->mostFlows || $this->deadline->passed();
    }

    private function search(): void
    {
        $all = array_keys($this->in->lessons);
        $most = $this->problem->mostLessons;
        if (count($all) <= $most) {
            $this->flow($all);

            return;
        }
        $this->flow($this->greedy($most));
        $this->branch([], array_fill(0, count($this->in->students), 0.0), $all, $most);
    }

    /** @return list<int> lessons opened one after another, each the one that gains most */
    private function greedy(int $most): array
    {
        $chosen = [];
        $base = array_fill(0, count($this->in->students), 0.0);
        while (count($chosen) < $most) {
            $gains = $this->gains->of($base, array_values(array_diff(array_keys($this->in->lessons), $chosen)));
            $chosen[] = $next = (int) array_key_first($gains);
            $base = $this->gains->with($base, $next);
        }

        return $chosen;
    }

    /**
     * @param  list<int>  $chosen
     * @param  list<float>  $base  what each student has of them
     * @param  list<int>  $rest  that may still be opened
     */
    private function branch(array $chosen, array $base, array $rest, int $left): void
    {
        $gains = $this->gains->of($base, $rest);
        $bound = min(array_sum($base) + array_sum(array_slice($gains, 0, $left)), $this->gains->byLesson($chosen, $rest, $left), $this->gains->byMachines($base, $rest, $left));
        if ($bound <= $this->best['value'] + Near::DUST * max(1.0, $bound)) {
            return;
        }
        if ($this->isOver()) {
            $this->open = max($this->open, $bound);

            return;
        }
        if ($left === 0 || $rest === []) {
            $this->flow($chosen, bound: $bound);

            return;
        }
        $next = (int) array_key_first($gains);
        $others = array_values(array_diff($rest, [$next]));
        $this->branch([...$chosen, $next], $this->gains->with($base, $next), $others, $left - 1);
        $this->branch($chosen, $base, $others, $left);
    }

    /**
     * @param  list<int>  $chosen
     * @param  array<int, array<int, int>>  $least  feet that a lesson takes at least, by stock and lesson
     * @param  array<int, array<int, int>>  $most  and at most
     */
    private function flow(array $chosen, array $least = [], array $most = [], float $bound = INF): void
    {
        $this->flows++;
        $all = array_merge($chosen, ...array_map(fn (int $l): array => $this->in->own[$l] ?? [], $chosen));
        $flow = new SeatFlow($this->in->inFlow, $all, $this->in->stocksOf, $this->in->counts, $this->in->suits, array_map(count(...), $this->in->groups), $most, $this->deadline, $this->best['value']);
        if ($flow->beaten) {
            return;
        }
        if ($flow->cut) {
            $this->open = max($this->open, min($bound, $this->gains->byLesson($chosen, [], 0)));
        }
        if ($flow->value <= $this->best['value'] + Near::DUST * max(1.0, $flow->value)) {
            return;
        }
        $over = $this->overdrawn($flow, $least);
        if ($over === null) {
            $this->best = ['value' => $flow->value, 'seats' => $this->seats($flow)];

            return;
        }
        if ($this->isOver()) {
            $this->open = max($this->open, min($bound, $flow->cut ? INF : $flow->value));

            return;
        }
        // Either this lesson takes as many feet as it did, and the others share the rest, or it takes fewer.
        [$stock, $lesson, $takes] = $over;
        $sure = [$lesson => $takes] + ($least[$stock] ?? []);
        $left = $this->in->counts[$stock] - array_sum($sure);
        if ($left >= 0) {
            $shared = $most[$stock] ?? [];
            foreach ($all as $l) {
                in_array($stock, $this->in->stocksOf[$l], true) && $shared[$l] = min($shared[$l] ?? PHP_INT_MAX, $left + ($sure[$l] ?? 0));
            }
            $this->flow($chosen, [$stock => $sure] + $least, [$stock => $shared] + $most, $bound);
        }
        $takes > 0 && $this->flow($chosen, $least, [$stock => [$lesson => $takes - 1] + ($most[$stock] ?? [])] + $most, $bound);
    }

    /**
     * A stock that more feet were taken from than there are.
     *
     * @param  array<int, array<int, int>>  $least
     * @return array{int, int, int}|null stock, the lesson that takes most of it beyond what it is sure of, and how many
     */
    private function overdrawn(SeatFlow $flow, array $least): ?array
    {
        $takes = [];
        foreach ($flow->pairOf as $p) {
            if ($p >= 0) {
                [$lesson, $stock] = $flow->pair($p);
                $stock < 0 || $takes[$stock][$lesson] = ($takes[$stock][$lesson] ?? 0) + 1;
            }
        }
        foreach ($takes as $stock => $by) {
            if (array_sum($by) <= $this->in->counts[$stock]) {
                continue;
            }
            $loose = array_map(fn (int $n, int $l): int => $n - ($least[$stock][$l] ?? 0), $by, array_keys($by));
            $lesson = array_keys($by)[(int) array_search(max($loose), $loose, true)];

            return [$stock, $lesson, $by[$lesson]];
        }

        return null;
    }

    /** @return list<array{int, int, int, int}> */
    private function seats(SeatFlow $flow): array
    {
        $seats = [];
        $units = $flow->units;
        foreach ($flow->pairOf as $s => $p) {
            if ($p >= 0) {
                $group = (int) array_key_first(array_filter($units[$p], fn (int $n): bool => $n > 0));
                $units[$p][$group]--;
                [$lesson, $stock] = $flow->pair($p);
                $seats[] = [$s, $this->in->is[$lesson] ?? $lesson, $stock, $group];
            }
        }

        return $seats;
    }
}
