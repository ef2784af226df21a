<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;
use OpenSeam\Core\Near;

/**
 * Third and fourth aim of a plan: the foot changed as seldom as can be, then a
 * strand of the course put down and taken up again as seldom as can be; where the
 * teacher's order is to be kept, before both as few lessons as can be in a session
 * before one that they follow. Lessons are moved and exchanged between sessions
 * while that gets better (a local search: no worse than before, not proven best);
 * inside a session the order is exact.
 */
final class StrandKeeper
{
    /** Plans that are weighed at most. */
    private const MOST_WEIGHED = 400;

    /** The same where they are weighed by the teacher's order, which is soon seen. */
    private const MOST_ORDERED = 6_000;

    private int $weighed = 0;

    /** @var array<string, array{list<int>, int}> orders of sessions seen before */
    private array $orders = [];

    /** Orders that are found at once, whatever the time. */
    private const SMALL_LOAD = 9;

    /**
     * @param  list<float>  $room  minutes each session may take
     * @param  (Closure(int): bool)|null  $go  false: enough, with what has been found
     */
    private function __construct(private readonly SessionProblem $problem, private readonly array $room, private readonly bool $inOrder = false, private readonly ?Closure $go = null) {}

    /**
     * @param  list<list<int>>  $laid
     * @param  list<float>  $room  minutes each session may take
     * @param  bool  $inOrder  the teacher's order counts first
     * @param  (Closure(int): bool)|null  $go  asked with the plans weighed; false: enough
     * @return list<list<int>>
     */
    public static function gather(SessionProblem $problem, array $laid, array $room, bool $inOrder = false, ?Closure $go = null): array
    {
        $keeper = new self($problem, $room, $inOrder, $go);
        $cost = $keeper->cost($laid);
        while ($cost > [0, 0] && ($better = $keeper->better($laid, $cost)) !== null) {
            [$laid, $cost] = $better;
        }

        return $laid;
    }

    /**
     * Every session in teaching order, strands carried on from one to the next.
     *
     * @param  list<list<int>>  $laid
     * @param  (Closure(int): bool)|null  $go  false: large sessions keep the order they have
     * @return list<array{list<int>, int}> lessons, and changes of foot
     */
    public static function ordered(SessionProblem $problem, array $laid, ?Closure $go = null): array
    {
        return (new self($problem, [], go: $go))->orders($laid);
    }

    /**
     * How often a strand is taken up again after another.
     *
     * @param  list<list<int>>  $laid  in teaching order
     */
    public static function takenUp(SessionProblem $problem, array $laid): int
    {
        $strands = array_values(array_filter(array_map(fn (int $j): ?string => $problem->tasks[$j]->strand, array_merge([], ...$laid)), fn (?string $s): bool => $s !== null));

        return max(0, FootOrder::changes($strands) + 1 - count(array_unique($strands)));
    }

    /**
     * @param  list<list<int>>  $laid
     * @return list<array{list<int>, int}>
     */
    private function orders(array $laid): array
    {
        $orders = [];
        $strand = null;
        foreach ($laid as $load) {
            sort($load);
            $key = implode(',', $load).":$strand";
            $this->orders[$key] ??= count($load) > self::SMALL_LOAD && $this->isOver() ? FootOrder::asTheyStand($this->problem, $load) : FootOrder::of($this->problem, $load, $strand);
            $orders[] = $this->orders[$key];
            foreach ($this->orders[$key][0] as $j) {
                $strand = $this->problem->tasks[$j]->strand ?? $strand;
            }
        }

        return $orders;
    }

    /** Asked seldom: whoever is asked may have to look far. */
    private function isOver(): bool
    {
        return $this->go !== null && $this->weighed % ($this->inOrder ? 512 : 8) === 0 && ! ($this->go)($this->weighed);
    }

    /**
     * @param  list<list<int>>  $laid
     * @return array{int, int} changes of foot and strands taken up again; or pairs that stand the wrong way round, and 0
     */
    private function cost(array $laid): array
    {
        $this->weighed++;
        if ($this->inOrder) {
            return [self::turned($laid), 0];
        }
        $orders = $this->orders($laid);

        return [array_sum(array_column($orders, 1)), self::takenUp($this->problem, array_column($orders, 0))];
    }

    /**
     * Pairs of lessons of which the later one in the teacher's order stands in an earlier session.
     *
     * @param  list<list<int>>  $laid
     */
    private static function turned(array $laid): int
    {
        $turned = 0;
        $before = [];
        foreach ($laid as $load) {
            foreach ($load as $j) {
                foreach ($before as $i) {
                    $turned += $i > $j ? 1 : 0;
                }
            }
            $before = [...$before, ...$load];
        }

        return $turned;
    }

    /**
     * The first change that makes it better.
     *
     * @param  list<list<int>>  $laid
     * @param  array{int, int}  $cost
     * @return array{list<list<int>>, array{int, int}}|null
     */
    private function better(array $laid, array $cost): ?array
    {
        $in = [];
        foreach ($laid as $k => $load) {
            $in += array_fill_keys($load, $k);
        }
        foreach ($in as $j => $from) {
            foreach (array_keys($laid) as $to) {
                foreach ($to === $from ? [] : [null, ...($to > $from ? $laid[$to] : [])] as $other) {
                    $at = [$j => $to] + ($other === null ? [] : [$other => $from]) + $in;
                    if (! $this->holds($at, $j) || ($other !== null && ! $this->holds($at, $other))) {
                        continue;
                    }
                    $changed = $laid;
                    $changed[$from] = [...array_values(array_diff($laid[$from], [$j])), ...($other === null ? [] : [$other])];
                    $changed[$to] = [...array_values(array_diff($laid[$to], [$other])), $j];
                    // A session that would be left empty is one the class has: it stays in use.
                    if ($changed[$from] === [] || ! $this->fits($changed[$from], $from) || ! $this->fits($changed[$to], $to)) {
                        continue;
                    }
                    if ($this->weighed >= ($this->inOrder ? self::MOST_ORDERED : self::MOST_WEIGHED) || $this->isOver()) {
                        return null;
                    }
                    $with = $this->cost($changed);
                    if ($with < $cost) {
                        return [$changed, $with];
                    }
                }
            }
        }

        return null;
    }

    /** @param  array<int, int>  $at  session by lesson */
    private function holds(array $at, int $j): bool
    {
        $p = $this->problem;
        if ($at[$j] < $p->tasks[$j]->notBefore || $at[$j] > ($p->tasks[$j]->notAfter ?? PHP_INT_MAX)) {
            return false;
        }
        foreach ($p->needs[$j] as $need) {
            if ($at[$j] < $at[$need] + (SessionProblem::has($p->sooner[$j], $need) ? 1 : 0)) {
                return false;
            }
        }
        foreach ($p->next[$j] as $next) {
            if ($at[$next] < $at[$j] + (SessionProblem::has($p->sooner[$next], $j) ? 1 : 0)) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<int>  $load */
    private function fits(array $load, int $k): bool
    {
        return array_sum(array_map(fn (int $j): float => $this->problem->minutes[$j], $load)) <= $this->room[$k] + Near::DUST;
    }
}
