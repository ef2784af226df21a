<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

use OpenSeam\Core\Deadline;
use OpenSeam\Core\Near;

/**
 * The best seating when the lessons are chosen: a flow of most value from
 * students through lesson-and-foot to kinds of machine, built up by one student
 * after another along the path that gains most (successive longest paths,
 * Bellman-Ford; Ahuja, Magnanti & Orlin 1993, chapter 9, from memory). Feet that
 * two lessons share are bounded lesson by lesson here; the solver divides them.
 */
final class SeatFlow
{
    /** Of the largest value: each move costs that much, so that nobody is moved for nothing. */
    private const MOVE = 1e-9;

    private readonly float $scale;

    /** @var list<array{int, int}> lesson and stock (−1: no foot) of each pair */
    private array $pairs = [];

    /** @var list<int> */
    private array $caps = [];

    /** @var list<list<int>> machine groups that a pair can use */
    private array $groupsOf = [];

    /** @var array<int, int> pair of each student, −1 for none */
    public array $pairOf;

    /** @var list<array<int, int>> units of each pair on each group */
    public array $units = [];

    /** @var array<int, int> students of each pair */
    private array $sewing = [];

    public float $value = 0.0;

    /** It was ended before everybody who could be seated was. */
    public bool $cut = false;

    /** It was ended because it cannot be worth more than what it was to beat; its seats are then no plan. */
    public bool $beaten = false;

    /** What the last student added: the next one adds no more. */
    private float $last = INF;

    /**
     * @param  list<array<int, float>>  $values  by student and lesson, 0 or more
     * @param  list<int>  $lessons  the chosen ones
     * @param  array<int, list<int>>  $stocksOf  stocks by lesson; [−1] where no foot is needed
     * @param  list<int>  $counts  feet by stock
     * @param  array<string, array<int, true>>  $suits  machine groups by "lesson:stock"
     * @param  array<int, int>  $free  machines in each group
     * @param  array<int, array<int, int>>  $limits  feet that a lesson may take at most, by stock and lesson
     * @param  float  $beat  a seating worth no more than this is not worth finding
     */
    public function __construct(private readonly array $values, array $lessons, array $stocksOf, array $counts, array $suits, private array $free, array $limits, ?Deadline $deadline = null, private readonly float $beat = -INF)
    {
        foreach ($lessons as $l) {
            foreach ($stocksOf[$l] as $f) {
                $cap = $f < 0 ? count($values) : min($counts[$f], $limits[$f][$l] ?? $counts[$f]);
                if ($cap > 0 && ($suits["$l:$f"] ?? []) !== []) {
                    [$this->pairs[], $this->caps[], $this->groupsOf[], $this->units[], $this->sewing[]] = [[$l, $f], $cap, array_keys($suits["$l:$f"]), [], 0];
                }
            }
        }
        $this->scale = max([1.0, ...array_map(fn (array $v): float => max([0.0, ...$v]), $values)]);
        $this->pairOf = array_fill(0, count($values), -1);
        $this->run($deadline ?? Deadline::never());
        $this->value = $this->now();
    }

    private function now(): float
    {
        $value = 0.0;
        foreach ($this->pairOf as $s => $p) {
            $value += $p < 0 ? 0.0 : $this->values[$s][$this->pairs[$p][0]];
        }

        return $value;
    }

    /** @return array{int, int} lesson and stock */
    public function pair(int $p): array
    {
        return $this->pairs[$p];
    }

    private function run(Deadline $deadline): void
    {
        // One student more each time.
        $best = [];
        foreach ($this->values as $s => $mine) {
            $mine = array_intersect_key($mine, array_flip(array_column($this->pairs, 0)));
            $mine === [] || $best[$s] = max($mine);
        }
        arsort($best);
        $machines = array_sum($this->free);
        do {
            $this->beaten = $this->most($best, $machines) <= $this->beat;
        } while (! $this->beaten && ! ($this->cut = $deadline->passed()) && $this->augment());
    }

    /**
     * The most it can still become: each student more adds at most what the last one did (what successive
     * longest paths gain only shrinks), and at most the best lesson of somebody who has no seat.
     *
     * @param  array<int, float>  $best  of each student among the chosen lessons, most first
     */
    private function most(array $best, int $machines): float
    {
        $value = $this->now();
        $seated = count(array_filter($this->pairOf, fn (int $p): bool => $p >= 0));
        foreach ($best as $s => $of) {
            if ($seated >= $machines) {
                break;
            }
            if ($this->pairOf[$s] < 0) {
                $value += min($of, $this->last);
                $seated++;
            }
        }

        // What a move costs is no part of what it is worth.
        return $value + 1e3 * self::MOVE * $this->scale;
    }

    /**
     * Nodes: 0 … P−1 a pair that has one student too many for its count or its
     * machines; P … 2P−1 a pair whose count holds and which lacks a machine;
     * 2P … a group of machines with one unit too many.
     */
    private function augment(): bool
    {
        $n = count($this->pairs);
        $gain = $from = [];
        [$enter, $move] = $this->studentArcs($n);
        foreach ($enter as $p => [$value, $s]) {
            [$gain[$p], $from[$p]] = [$value, [-1, $s]];
        }
        do {
            $moved = false;
            for ($p = 0; $p < $n; $p++) {
                if (isset($gain[$p]) && $this->sewing[$p] < $this->caps[$p]) {
                    $moved = $this->reach($gain, $from, $p, $n + $p, 0.0, null) || $moved;
                }
                foreach ($move[$p] as $q => [$difference, $s]) {
                    foreach ([$p, $n + $p] as $node) {
                        if (isset($gain[$node])) {
                            $moved = $this->reach($gain, $from, $node, $q, $difference, $s) || $moved;
                        }
                    }
                }
                if (isset($gain[$n + $p])) {
                    foreach ($this->groupsOf[$p] as $g) {
                        $moved = $this->reach($gain, $from, $n + $p, 2 * $n + $g, 0.0, null) || $moved;
                    }
                }
            }
            foreach (array_keys($this->free) as $g) {
                for ($p = 0; isset($gain[2 * $n + $g]) && $p < $n; $p++) {
                    if (($this->units[$p][$g] ?? 0) > 0) {
                        $moved = $this->reach($gain, $from, 2 * $n + $g, $n + $p, 0.0, null) || $moved;
                    }
                }
            }
        } while ($moved);
        $best = null;
        foreach ($this->free as $g => $left) {
            if ($left > 0 && isset($gain[2 * $n + $g]) && ($best === null || $gain[2 * $n + $g] > $gain[2 * $n + $best] + Near::FLOW * $this->scale)) {
                $best = $g;
            }
        }
        if ($best === null || $gain[2 * $n + $best] < -1e3 * self::MOVE * $this->scale) {
            return false;
        }
        $this->last = $gain[2 * $n + $best];
        $this->apply($from, 2 * $n + $best, $n);
        $this->free[$best]--;

        return true;
    }

    /**
     * The best student to bring in at each pair, and to move from one pair to another.
     *
     * @return array{array<int, array{float, int}>, list<array<int, array{float, int}>>}
     */
    private function studentArcs(int $n): array
    {
        $enter = [];
        $move = array_fill(0, $n, []);
        foreach ($this->pairOf as $s => $at) {
            foreach ($this->pairs as $p => [$lesson]) {
                $value = $this->values[$s][$lesson] ?? null;
                if ($value === null || $p === $at) {
                    continue;
                }
                if ($at < 0) {
                    $value > ($enter[$p][0] ?? -INF) && $enter[$p] = [$value, $s];
                } else {
                    $difference = $value - $this->values[$s][$this->pairs[$at][0]] - self::MOVE * $this->scale;
                    $difference > ($move[$at][$p][0] ?? -INF) && $move[$at][$p] = [$difference, $s];
                }
            }
        }

        return [$enter, $move];
    }

    /**
     * @param  array<int, float>  $gain
     * @param  array<int, array{int, int|null}>  $from
     */
    private function reach(array &$gain, array &$from, int $node, int $to, float $more, ?int $student): bool
    {
        if ($gain[$node] + $more <= ($gain[$to] ?? -INF) + Near::FLOW * $this->scale) {
            return false;
        }
        $gain[$to] = $gain[$node] + $more;
        $from[$to] = [$node, $student];

        return true;
    }

    /** @param  array<int, array{int, int|null}>  $from */
    private function apply(array $from, int $node, int $n): void
    {
        while ($node >= 0) {
            [$before, $student] = $from[$node];
            if ($student !== null) {
                // A student comes to this pair, from another or from none.
                $was = $this->pairOf[$student];
                $was < 0 || $this->sewing[$was]--;
                $this->pairOf[$student] = $node;
                $this->sewing[$node]++;
            } elseif ($node >= 2 * $n) {
                $this->units[$before - $n][$node - 2 * $n] = ($this->units[$before - $n][$node - 2 * $n] ?? 0) + 1;
            } elseif ($before >= 2 * $n) {
                $this->units[$node - $n][$before - 2 * $n]--;
            }
            $node = $before;
        }
    }
}
