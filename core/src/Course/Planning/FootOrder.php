<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/**
 * Lessons of one session in an order that holds with the fewest changes of
 * foot, then of strand; exact, by dynamic programming over sets.
 */
final class FootOrder
{
    /** More lessons in one session keep the order they have: 2^14 sets are enough to look at. */
    private const MOST = 14;

    /** Of more, strands are not looked at. */
    private const MOST_WITH_STRANDS = 9;

    /** A change of foot outweighs all changes of strand. */
    private const FOOT = 1_000;

    /** @var array<string, int> */
    private array $known = [];

    /**
     * @param  list<string|null>  $feet
     * @param  list<string|null>  $strands
     * @param  array<int, int>  $before  what each stands on, as a set
     */
    private function __construct(private readonly array $feet, private readonly array $strands, private readonly array $before) {}

    /**
     * @param  list<int>  $load  numbers, needs first
     * @param  string|null  $strand  the one that the session before ended with
     * @return array{list<int>, int} in order, and how often the foot is changed
     */
    public static function of(SessionProblem $problem, array $load, ?string $strand = null): array
    {
        $feet = array_map(fn (int $j): ?string => $problem->tasks[$j]->foot, $load);
        $strands = array_map(fn (int $j): ?string => count($load) > self::MOST_WITH_STRANDS ? null : $problem->tasks[$j]->strand, $load);
        if (count($load) > self::MOST || (self::kinds($feet) < 2 && self::kinds([$strand, ...$strands]) < 2)) {
            return [$load, self::changes($feet)];
        }
        $before = [];
        foreach ($load as $i => $j) {
            $before[$i] = 0;
            foreach ($load as $k => $other) {
                $before[$i] |= SessionProblem::has($problem->before[$j], $other) ? 1 << $k : 0;
            }
        }
        $order = (new self($feet, $strands, $before))->order($strand);

        return [array_map(fn (int $i): int => $load[$i], $order), self::changes(array_map(fn (int $i): ?string => $feet[$i], $order))];
    }

    /**
     * @param  list<int>  $load  numbers, needs first
     * @return array{list<int>, int} the same, and how often the foot is changed
     */
    public static function asTheyStand(SessionProblem $problem, array $load): array
    {
        return [$load, self::changes(array_map(fn (int $j): ?string => $problem->tasks[$j]->foot, $load))];
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

    /** @param  list<string|null>  $of */
    private static function kinds(array $of): int
    {
        return count(array_unique(array_filter($of, fn (?string $o): bool => $o !== null)));
    }

    /** @return list<int> places in the load */
    private function order(?string $strand): array
    {
        $order = [];
        [$done, $on] = [0, null];
        while (count($order) < count($this->feet)) {
            $best = $this->best($done, $on, $strand);
            // Of the orders that are as good, the one nearest to the teacher's.
            foreach ($this->feet as $i => $foot) {
                if ($this->isOpen($i, $done) && $this->change($i, $on, $strand) + $this->best($done | 1 << $i, $foot ?? $on, $this->strands[$i] ?? $strand) === $best) {
                    $order[] = $i;
                    $done |= 1 << $i;
                    [$on, $strand] = [$foot ?? $on, $this->strands[$i] ?? $strand];
                    break;
                }
            }
        }

        return $order;
    }

    private function best(int $done, ?string $on, ?string $strand): int
    {
        if ($done === (1 << count($this->feet)) - 1) {
            return 0;
        }
        $key = "$done:$on:$strand";
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        $least = PHP_INT_MAX;
        foreach ($this->feet as $i => $foot) {
            if ($this->isOpen($i, $done)) {
                $least = min($least, $this->change($i, $on, $strand) + $this->best($done | 1 << $i, $foot ?? $on, $this->strands[$i] ?? $strand));
            }
        }

        return $this->known[$key] = $least;
    }

    private function isOpen(int $i, int $done): bool
    {
        return (($done >> $i) & 1) === 0 && ($this->before[$i] & ~$done) === 0;
    }

    private function change(int $i, ?string $on, ?string $strand): int
    {
        return ($this->feet[$i] !== null && $on !== null && $this->feet[$i] !== $on ? self::FOOT : 0)
            + ($this->strands[$i] !== null && $strand !== null && $this->strands[$i] !== $strand ? 1 : 0);
    }
}
