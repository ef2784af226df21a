<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;

/**
 * Whether all lessons go into so many sessions: depth first, session by session,
 * over loads to which no lesson could be added; cut off by the minutes that may
 * still be wasted, by the last session each lesson may stand in, by sets of
 * lessons that were tried before in as few sessions, and by Jackson's dominance
 * (1956): a lesson is not taken where a longer one with all its followers fits.
 */
final class Search
{
    /** Loads of one session that are looked at; far more than any course has. */
    private const MOST_LOADS = 3000;

    private const MOST_REMEMBERED = 150_000;

    /** Steps between two questions whether to go on. */
    private const ASKED_EVERY = 4_096;

    private int $steps = 0;

    private bool $cut = false;

    /** Some session had more loads than are looked at. */
    private bool $partial = false;

    private bool $isPlain;

    /** @var list<float> minutes of each session */
    private array $room = [];

    /** @var array<int, int> first session of each lesson */
    private array $early = [];

    /** @var array<int, int> last session of each lesson */
    private array $late = [];

    /** @var array<string, int> sets that were tried in vain, and the least session they began at */
    private array $tried = [];

    /** @var list<list<int>> */
    private array $laid = [];

    /** @var list<int> lessons in the order of their last session */
    private array $byLate = [];

    /** @var array{int, int} done before the session that is being filled */
    private array $begun = [0, 0];

    private int $n;

    private int $most = self::MOST_LOADS;

    /**
     * @param  int  $budget  steps; the same input takes the same steps on every machine
     * @param  (Closure(int): bool)|null  $go  asked now and then with the steps taken; false: enough
     */
    public function __construct(private readonly SessionProblem $problem, private readonly int $budget, private readonly ?Closure $go = null)
    {
        $this->n = count($problem->tasks);
        $this->isPlain = true;
    }

    /**
     * @param  list<float>  $room  minutes of each session
     */
    public function within(array $room): SearchResult
    {
        $this->start($room);
        if (! $this->hasWindows()) {
            return SearchResult::impossible();
        }
        if ($this->go(0, [0, 0], $this->problem->total())) {
            return SearchResult::found($this->laid);
        }

        return $this->isCut() ? SearchResult::undecided() : SearchResult::impossible();
    }

    /**
     * A plan soon found, without going back: each session takes the fullest load
     * of those first seen (Hoffmann 1963, cut short).
     *
     * @param  list<float>  $room  minutes of each session, enough of them
     * @return list<list<int>>|null null where a bound on sessions is in the way
     */
    public function fullest(array $room, int $loads): ?array
    {
        $this->start($room);
        $this->most = $loads;
        if (! $this->hasWindows()) {
            return null;
        }
        $done = [0, 0];
        $left = $this->problem->total();
        for ($k = 0; $left > SessionProblem::EPS; $k++) {
            if ($k === count($room)) {
                return null;
            }
            [$load, $sum] = $this->loads($k, $done, 0.0)[0] ?? [[], 0.0];
            foreach ($load as $j) {
                $done = SessionProblem::with($done, $j);
            }
            $this->laid[$k] = $load;
            $left -= $sum;
        }

        return $this->laid;
    }

    public function steps(): int
    {
        return $this->steps;
    }

    /** @param  list<float>  $room */
    private function start(array $room): void
    {
        $this->room = $room;
        $this->steps = 0;
        $this->cut = $this->partial = false;
        $this->most = self::MOST_LOADS;
        $this->tried = [];
        $this->laid = array_fill(0, count($room), []);
        $this->isPlain = $this->problem->isFree() && ($room === [] || max($room) - min($room) < SessionProblem::EPS);
    }

    /** Every lesson has a session to stand in. */
    private function hasWindows(): bool
    {
        $windows = SessionWindows::of($this->problem, $this->room);
        if ($windows === null) {
            return false;
        }
        [$this->early, $this->late, $this->byLate] = [$windows->early, $windows->late, $windows->byLate];

        return true;
    }

    private function hasEnded(): bool
    {
        return $this->cut;
    }

    /** It ended before everything was looked at. */
    private function isCut(): bool
    {
        return $this->cut || $this->partial;
    }

    /**
     * @param  array{int, int}  $done
     * @param  float  $left  minutes not laid yet
     */
    private function go(int $k, array $done, float $left): bool
    {
        if ($left < SessionProblem::EPS) {
            return true;
        }
        $m = count($this->room);
        if ($k === $m || $this->cut) {
            return false;
        }
        $key = ($this->isPlain ? '' : "$k:")."{$done[0]}:{$done[1]}";
        if (isset($this->tried[$key]) && $this->tried[$key] <= $k) {
            return false;
        }
        if (! $this->hasRoom($k, $done)) {
            return false;
        }
        $after = 0.0;
        for ($i = $k + 1; $i < $m; $i++) {
            $after += $this->room[$i];
        }
        foreach ($this->loads($k, $done, $left - $after) as [$load, $sum]) {
            $with = $done;
            foreach ($load as $j) {
                $with = SessionProblem::with($with, $j);
            }
            $this->laid[$k] = $load;
            if ($this->go($k + 1, $with, $left - $sum)) {
                return true;
            }
            if ($this->hasEnded()) {
                return false;
            }
        }
        $this->laid[$k] = [];
        if (count($this->tried) < self::MOST_REMEMBERED) {
            $this->tried[$key] = $k;
        }

        return false;
    }

    /**
     * What must be done by a session fits into the sessions up to it, and lessons
     * of more than half a session find one each.
     *
     * @param  array{int, int}  $done
     */
    private function hasRoom(int $k, array $done): bool
    {
        $sum = 0.0;
        $large = 0;
        $half = 0;
        $upTo = $k - 1;
        $room = 0.0;
        $p = $this->problem;
        $middle = $this->isPlain ? $this->room[$k] / 2 : INF;
        foreach ($this->byLate as $j) {
            if (SessionProblem::has($done, $j)) {
                continue;
            }
            if ($this->late[$j] < $k) {
                return false;
            }
            while ($upTo < $this->late[$j]) {
                $room += $this->room[++$upTo];
            }
            $sum += $p->minutes[$j];
            if ($sum > $room + SessionProblem::EPS) {
                return false;
            }
            if ($p->minutes[$j] > $middle + SessionProblem::EPS) {
                $large++;
            } elseif ($p->minutes[$j] > $middle - SessionProblem::EPS) {
                $half++;
            }
        }

        return $large + (int) ceil($half / 2) <= count($this->room) - $k;
    }

    /**
     * Loads of a session to which nothing could be added, fullest first.
     *
     * @param  array{int, int}  $done
     * @param  float  $least  minutes the session must hold, or the rest does not fit behind it
     * @return list<array{list<int>, float}>
     */
    private function loads(int $k, array $done, float $least): array
    {
        $p = $this->problem;
        // Lessons that may stand here at all, in order; and how much of them is left from each on.
        $may = [];
        for ($j = 0; $j < $this->n; $j++) {
            if (! SessionProblem::has($done, $j) && $this->early[$j] <= $k && $this->late[$j] >= $k) {
                $may[] = $j;
            }
        }
        $rest = [0.0];
        for ($i = count($may) - 1; $i >= 0; $i--) {
            array_unshift($rest, $rest[0] + $p->minutes[$may[$i]]);
        }
        $loads = [];
        $this->begun = $done;
        $this->collect($k, $may, $rest, 0, $done, [], 0.0, $least, $loads);
        // Fullest first, then what much stands on: what follows has the most to choose from.
        usort($loads, fn (array $a, array $b): int => $b[1] <=> $a[1] ?: $b[2] <=> $a[2]);

        return array_map(fn (array $l): array => [$l[0], $l[1]], $loads);
    }

    /**
     * @param  list<int>  $may
     * @param  list<float>  $rest
     * @param  array{int, int}  $done  with the load so far
     * @param  list<int>  $load
     * @param  list<array{list<int>, float, float}>  $loads
     *
     * @param-out list<array{list<int>, float, float}> $loads
     */
    private function collect(int $k, array $may, array $rest, int $i, array $done, array $load, float $sum, float $least, array &$loads): void
    {
        $p = $this->problem;
        if (count($loads) >= $this->most) {
            $this->partial = true;

            return;
        }
        if (++$this->steps > $this->budget || ($this->go !== null && $this->steps % self::ASKED_EVERY === 0 && ! ($this->go)($this->steps))) {
            $this->cut = true;

            return;
        }
        if ($sum + $rest[$i] < $least - SessionProblem::EPS) {
            return;
        }
        $count = count($may);
        for (; $i < $count; $i++) {
            $j = $may[$i];
            [$a, $b] = $p->before[$j];
            if ($sum + $p->minutes[$j] <= $this->room[$k] + SessionProblem::EPS && ($a & ~$done[0]) === 0 && ($b & ~$done[1]) === 0 && ($this->isPlain || $this->waited($j))) {
                break;
            }
            if ($this->late[$j] === $k) {
                // It must stand here and cannot.
                return;
            }
        }
        if ($i === $count) {
            $sum >= $least - SessionProblem::EPS && $this->keep($k, $may, $done, $load, $sum, $loads);

            return;
        }
        $j = $may[$i];
        $this->collect($k, $may, $rest, $i + 1, SessionProblem::with($done, $j), [...$load, $j], $sum + $p->minutes[$j], $least, $loads);
        if ($this->late[$j] > $k && ! $this->cut) {
            $this->collect($k, $may, $rest, $i + 1, $done, $load, $sum, $least, $loads);
        }
    }

    /**
     * Kept when nothing could be added, and nothing in it changed for something better.
     *
     * @param  list<int>  $may
     * @param  array{int, int}  $done
     * @param  list<int>  $load
     * @param  list<array{list<int>, float, float}>  $loads
     *
     * @param-out list<array{list<int>, float, float}> $loads
     */
    private function keep(int $k, array $may, array $done, array $load, float $sum, array &$loads): void
    {
        $p = $this->problem;
        $in = array_flip($load);
        $weight = 0.0;
        foreach ($load as $j) {
            $weight += $p->tailMinutes[$j];
        }
        foreach ($may as $i) {
            if (isset($in[$i])) {
                continue;
            }
            [$a, $b] = $p->before[$i];
            $open = ($a & ~$done[0]) === 0 && ($b & ~$done[1]) === 0 && ($this->isPlain || $this->waited($i));
            if ($open && $sum + $p->minutes[$i] <= $this->room[$k] + SessionProblem::EPS) {
                return;
            }
            if (! $open || ! $this->isPlain) {
                continue;
            }
            foreach ($load as $j) {
                if ($p->minutes[$j] > $p->minutes[$i] + SessionProblem::EPS || $sum - $p->minutes[$j] + $p->minutes[$i] > $this->room[$k] + SessionProblem::EPS || SessionProblem::has($p->before[$i], $j)) {
                    continue;
                }
                [$fa, $fb] = $p->after[$j];
                [$ga, $gb] = $p->after[$i];
                if (($fa & ~$ga) !== 0 || ($fb & ~$gb) !== 0 || self::needsIn($p, $load, $j)) {
                    continue;
                }
                // Of two that are alike the one with the lower number goes first.
                if ([$fa, $fb] !== [$ga, $gb] || $p->minutes[$i] > $p->minutes[$j] + SessionProblem::EPS || $i < $j) {
                    return;
                }
            }
        }
        $loads[] = [$load, $sum, $weight];
    }

    /** What must lie in an earlier session was done before this one. */
    private function waited(int $j): bool
    {
        [$a, $b] = $this->problem->sooner[$j];

        return ($a & ~$this->begun[0]) === 0 && ($b & ~$this->begun[1]) === 0;
    }

    /** @param  list<int>  $load */
    private static function needsIn(SessionProblem $p, array $load, int $j): bool
    {
        foreach ($load as $other) {
            if (SessionProblem::has($p->before[$other], $j)) {
                return true;
            }
        }

        return false;
    }
}
