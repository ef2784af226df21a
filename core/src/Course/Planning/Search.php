<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;
use OpenSeam\Core\Near;

/**
 * Whether all lessons go into so many sessions: depth first, session by session,
 * over loads to which no lesson could be added; cut off by the minutes that may
 * still be wasted, by the last session each lesson may stand in, by sets of
 * lessons that were tried before in as few sessions, and by Jackson's dominance
 * (1956): a lesson is not taken where a longer one with all its followers fits.
 */
final class Search
{
    private const MOST_REMEMBERED = 150_000;

    private ?SessionLoads $loads = null;

    private bool $isPlain = true;

    /** @var list<float> minutes of each session */
    private array $room = [];

    private ?SessionWindows $windows = null;

    /** @var array<string, int> sets that were tried in vain, and the least session they began at */
    private array $tried = [];

    /** @var list<list<int>> */
    private array $laid = [];

    /**
     * @param  int  $budget  steps; the same input takes the same steps on every machine
     * @param  (Closure(int): bool)|null  $go  asked now and then with the steps taken; false: enough
     */
    public function __construct(private readonly SessionProblem $problem, private readonly int $budget, private readonly ?Closure $go = null) {}

    /**
     * @param  list<float>  $room  minutes of each session
     */
    public function within(array $room): SearchResult
    {
        $loads = $this->start($room, SessionLoads::MOST);
        if ($loads === null) {
            return SearchResult::impossible();
        }
        if ($this->go($loads, 0, [0, 0], $this->problem->total())) {
            return SearchResult::found($this->laid);
        }

        return $loads->isPartial() ? SearchResult::undecided() : SearchResult::impossible();
    }

    /**
     * A plan soon found, without going back: each session takes the fullest load
     * of those first seen (Hoffmann 1963, cut short).
     *
     * @param  list<float>  $room  minutes of each session, enough of them
     * @return list<list<int>>|null null where a bound on sessions is in the way
     */
    public function fullest(array $room, int $most): ?array
    {
        $loads = $this->start($room, $most);
        if ($loads === null) {
            return null;
        }
        $done = [0, 0];
        $left = $this->problem->total();
        for ($k = 0; $left > Near::DUST; $k++) {
            if ($k === count($room)) {
                return null;
            }
            [$load, $sum] = $loads->of($k, $done, 0.0)[0] ?? [[], 0.0];
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
        return $this->loads?->steps() ?? 0;
    }

    /**
     * @param  list<float>  $room
     * @return SessionLoads|null null where some lesson has no session to stand in
     */
    private function start(array $room, int $most): ?SessionLoads
    {
        $this->room = $room;
        $this->tried = [];
        $this->laid = array_fill(0, count($room), []);
        $this->isPlain = $this->problem->isFree() && ($room === [] || max($room) - min($room) < Near::DUST);
        $this->windows = SessionWindows::of($this->problem, $room);

        return $this->loads = $this->windows === null ? null : new SessionLoads($this->problem, $room, $this->windows, $this->isPlain, $this->budget, $this->go, $most);
    }

    /**
     * @param  array{int, int}  $done
     * @param  float  $left  minutes not laid yet
     *
     * @phpstan-impure
     */
    private function go(SessionLoads $loads, int $k, array $done, float $left): bool
    {
        if ($left < Near::DUST) {
            return true;
        }
        $m = count($this->room);
        if ($k === $m || $loads->hasEnded()) {
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
        foreach ($loads->of($k, $done, $left - $after) as [$load, $sum]) {
            $with = $done;
            foreach ($load as $j) {
                $with = SessionProblem::with($with, $j);
            }
            $this->laid[$k] = $load;
            if ($this->go($loads, $k + 1, $with, $left - $sum)) {
                return true;
            }
            if ($loads->hasEnded()) {
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
        $late = $this->windows->late ?? [];
        foreach ($this->windows->byLate ?? [] as $j) {
            if (SessionProblem::has($done, $j)) {
                continue;
            }
            if ($late[$j] < $k) {
                return false;
            }
            while ($upTo < $late[$j]) {
                $room += $this->room[++$upTo];
            }
            $sum += $p->minutes[$j];
            if ($sum > $room + Near::DUST) {
                return false;
            }
            if ($p->minutes[$j] > $middle + Near::DUST) {
                $large++;
            } elseif ($p->minutes[$j] > $middle - Near::DUST) {
                $half++;
            }
        }

        return $large + (int) ceil($half / 2) <= count($this->room) - $k;
    }
}
