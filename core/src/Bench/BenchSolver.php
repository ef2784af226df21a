<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

use OpenSeam\Core\Deadline;

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

    /** Of the largest value: two plans that differ by less are worth the same. */
    private const DUST = 1e-9;

    private const RANK = 1e-7;

    /** @var list<string> */
    private array $students;

    /** @var list<string> */
    private array $lessons = [];

    /** @var list<array<int, float>> what each lesson is worth to each student */
    private array $values = [];

    /** @var list<array<int, float>> the same for the flow: whoever is held to a machine has lessons of their own there */
    private array $inFlow = [];

    /** @var array<int, list<int>> those, by the lesson they are */
    private array $own = [];

    /** @var array<int, int> and the other way round */
    private array $is = [];

    /** @var array<int, list<int>> */
    private array $stocksOf = [];

    /** @var list<int> feet in each stock */
    private array $counts;

    /** @var array<string, array<int, true>> */
    private array $suits = [];

    /** @var list<list<string>> machines by group */
    private array $groups = [];

    /** @var list<int> students that a lesson can seat at most */
    private array $caps = [];

    /** Machines that can sew something somebody wants. */
    private int $places = 0;

    private int $flows = 0;

    /** @var array{value: float, seats: list<array{int, int, int, int}>} student, lesson, stock, group */
    private array $best = ['value' => -1.0, 'seats' => []];

    private float $open = -INF;

    private function __construct(private readonly BenchProblem $problem, private readonly int $mostFlows, private readonly Deadline $deadline)
    {
        $this->students = array_map(strval(...), array_keys($problem->wants));
        $this->counts = array_map(fn (FootStock $f): int => $f->count, $problem->feet);
        $this->prepareLessons();
        $scale = max([1.0, ...array_map(fn (array $w): float => max([0.0, ...array_values($w)]), $problem->wants)]);
        $number = array_flip($this->lessons);
        foreach ($this->students as $id) {
            $mine = [];
            foreach (array_keys($problem->wants[$id]) as $rank => $lesson) {
                // Where nothing else tells two plans apart, the one with more first choices.
                isset($number[$lesson]) && $problem->wants[$id][$lesson] >= 0 && $mine[$number[$lesson]] = $problem->wants[$id][$lesson] + self::RANK * $scale / ($rank + 1);
            }
            $this->values[] = $mine;
        }
        $this->holdSome();
        $this->prepareGroups();
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
        $value = array_sum(array_map(fn (array $s): float => $problem->wants[$solver->students[$s[0]]][$solver->lessons[$s[1]]], $solver->best['seats']));
        $proven = $solver->open <= $solver->best['value'] + self::DUST * max(1.0, $value);
        $seats = (new SeatMachines($problem, $solver->groups))->assign(array_map(
            fn (array $s): array => [$solver->students[$s[0]], $solver->lessons[$s[1]], $s[2] < 0 ? null : $s[2], $s[3]], $solver->best['seats'],
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

    /** Lessons that somebody wants and that can be sewn at all. */
    private function prepareLessons(): void
    {
        foreach ($this->problem->lessons as $id => $kind) {
            $wanted = array_filter($this->problem->wants, fn (array $w): bool => ($w[$id] ?? -1.0) >= 0);
            $machines = array_filter(array_keys($this->problem->machines), fn (string|int $m): bool => $this->problem->canSeat((string) $id, (string) $m));
            if ($wanted === [] || $machines === []) {
                continue;
            }
            $stocks = $kind === null ? [-1] : array_values(array_filter(array_keys($this->problem->feet), fn (int $f): bool => $this->problem->feet[$f]->kind === $kind && $this->problem->feet[$f]->serves((string) $id) && $this->counts[$f] > 0));
            $this->lessons[] = (string) $id;
            $this->stocksOf[] = $stocks;
            $this->caps[] = min(count($machines), count($wanted), $kind === null ? PHP_INT_MAX : array_sum(array_map(fn (int $f): int => $this->counts[$f] ?? 0, $stocks)));
        }
    }

    /** Whoever is held to a machine gets each lesson as one of their own, which is only sewn there. */
    private function holdSome(): void
    {
        $this->inFlow = $this->values;
        $next = count($this->lessons);
        foreach ($this->students as $s => $id) {
            if (! isset($this->problem->held[$id])) {
                continue;
            }
            $this->inFlow[$s] = [];
            foreach ($this->values[$s] as $l => $value) {
                $this->inFlow[$s][$next] = $value;
                $this->own[$l][] = $next;
                $this->is[$next] = $l;
                $this->stocksOf[$next++] = $this->stocksOf[$l];
            }
        }
    }

    /** Machines that can do the same with the same feet are one group. */
    private function prepareGroups(): void
    {
        $byWhat = [];
        $holder = array_flip($this->problem->held);
        $number = array_flip($this->students);
        foreach (array_map(strval(...), array_keys($this->problem->machines)) as $machine) {
            $what = [];
            $student = isset($holder[$machine]) ? $number[$holder[$machine]] ?? null : null;
            // A machine that is held sews what its student does, and nothing else.
            $sewn = $student === null ? array_keys($this->lessons) : array_keys($this->inFlow[$student]);
            foreach ($sewn as $l) {
                if (! in_array($this->lessons[$this->is[$l] ?? $l], $this->problem->machines[$machine], true)) {
                    continue;
                }
                foreach ($this->stocksOf[$l] as $f) {
                    if ($f < 0 || in_array($machine, $this->problem->feet[$f]->fits, true)) {
                        $what[] = "$l:$f";
                    }
                }
            }
            $what === [] || $byWhat[implode(' ', $what)][] = $machine;
        }
        foreach ($byWhat as $what => $machines) {
            foreach (explode(' ', (string) $what) as $pair) {
                $this->suits[$pair][count($this->groups)] = true;
            }
            $this->groups[] = $machines;
        }
        $this->places = array_sum(array_map(count(...), $this->groups));
    }

    private function search(): void
    {
        $all = array_keys($this->lessons);
        $most = $this->problem->mostLessons;
        if (count($all) <= $most) {
            $this->flow($all);

            return;
        }
        $this->flow($this->greedy($most));
        $this->branch([], array_fill(0, count($this->students), 0.0), $all, $most);
    }

    /** @return list<int> lessons opened one after another, each the one that gains most */
    private function greedy(int $most): array
    {
        $chosen = [];
        $base = array_fill(0, count($this->students), 0.0);
        while (count($chosen) < $most) {
            $gains = $this->gains($base, array_values(array_diff(array_keys($this->lessons), $chosen)));
            $chosen[] = $next = (int) array_key_first($gains);
            $base = $this->with($base, $next);
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
        $gains = $this->gains($base, $rest);
        $bound = min(array_sum($base) + array_sum(array_slice($gains, 0, $left)), $this->byLesson($chosen, $rest, $left), $this->byMachines($base, $rest, $left));
        if ($bound <= $this->best['value'] + self::DUST * max(1.0, $bound)) {
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
        $this->branch([...$chosen, $next], $this->with($base, $next), $others, $left - 1);
        $this->branch($chosen, $base, $others, $left);
    }

    /**
     * What each lesson could add at most, largest first.
     *
     * @param  list<float>  $base
     * @param  list<int>  $rest
     * @return array<int, float>
     */
    private function gains(array $base, array $rest): array
    {
        $gains = [];
        foreach ($rest as $l) {
            $each = [];
            foreach ($this->values as $s => $mine) {
                $more = ($mine[$l] ?? 0.0) - $base[$s];
                $more > 0 && $each[] = $more;
            }
            rsort($each);
            $gains[$l] = array_sum(array_slice($each, 0, $this->caps[$l]));
        }
        arsort($gains);

        return $gains;
    }

    /**
     * Another bound: each lesson filled with those who want it most.
     *
     * @param  list<int>  $chosen
     * @param  list<int>  $rest
     */
    private function byLesson(array $chosen, array $rest, int $left): float
    {
        $none = array_fill(0, count($this->students), 0.0);

        return array_sum($this->gains($none, $chosen)) + array_sum(array_slice($this->gains($none, $rest), 0, $left));
    }

    /**
     * A third: no more students than machines. The best of so many students over a set of lessons is a weighted
     * matroid rank, so here too what lessons add only shrinks.
     *
     * @param  list<float>  $base
     * @param  list<int>  $rest
     */
    private function byMachines(array $base, array $rest, int $left): float
    {
        if ($this->places >= count($this->students)) {
            return INF;
        }
        $now = $this->top($base);
        $more = [];
        foreach ($rest as $l) {
            $more[] = $this->top($this->with($base, $l)) - $now;
        }
        rsort($more);

        return $now + array_sum(array_slice($more, 0, $left));
    }

    /** @param  list<float>  $each */
    private function top(array $each): float
    {
        rsort($each);

        return array_sum(array_slice($each, 0, $this->places));
    }

    /**
     * @param  list<float>  $base
     * @return list<float>
     */
    private function with(array $base, int $lesson): array
    {
        return array_map(fn (float $b, array $mine): float => max($b, $mine[$lesson] ?? 0.0), $base, $this->values);
    }

    /**
     * @param  list<int>  $chosen
     * @param  array<int, array<int, int>>  $least  feet that a lesson takes at least, by stock and lesson
     * @param  array<int, array<int, int>>  $most  and at most
     */
    private function flow(array $chosen, array $least = [], array $most = [], float $bound = INF): void
    {
        $this->flows++;
        $all = array_merge($chosen, ...array_map(fn (int $l): array => $this->own[$l] ?? [], $chosen));
        $flow = new SeatFlow($this->inFlow, $all, $this->stocksOf, $this->counts, $this->suits, array_map(count(...), $this->groups), $most, $this->deadline, $this->best['value']);
        if ($flow->beaten) {
            return;
        }
        if ($flow->cut) {
            $this->open = max($this->open, min($bound, $this->byLesson($chosen, [], 0)));
        }
        if ($flow->value <= $this->best['value'] + self::DUST * max(1.0, $flow->value)) {
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
        $left = $this->counts[$stock] - array_sum($sure);
        if ($left >= 0) {
            $shared = $most[$stock] ?? [];
            foreach ($all as $l) {
                in_array($stock, $this->stocksOf[$l], true) && $shared[$l] = min($shared[$l] ?? PHP_INT_MAX, $left + ($sure[$l] ?? 0));
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
            if (array_sum($by) <= $this->counts[$stock]) {
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
                $seats[] = [$s, $this->is[$lesson] ?? $lesson, $stock, $group];
            }
        }

        return $seats;
    }
}
