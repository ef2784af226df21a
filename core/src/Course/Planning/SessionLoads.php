<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use Closure;
use OpenSeam\Core\Near;

/**
 * What one session can hold: every load to which no lesson could be added, but for those that Jackson's dominance (1956) passes
 * over: a lesson is not taken where a longer one with all its followers fits. Counts the steps of the whole search.
 */
final class SessionLoads
{
    /** Loads of one session that are looked at; far more than any course has. */
    public const MOST = 3000;

    /** Steps between two questions whether to go on. */
    private const ASKED_EVERY = 4_096;

    private int $steps = 0;

    /** The steps were used up, or it was told to end. */
    private bool $cut = false;

    /** Some session had more loads than are looked at. */
    private bool $partial = false;

    /** @var array{int, int} done before the session that is being filled */
    private array $begun = [0, 0];

    /**
     * @param  list<float>  $room  minutes of each session
     * @param  bool  $isPlain  all sessions are alike and no lesson is bound to one
     * @param  int  $budget  steps; the same input takes the same steps on every machine
     * @param  (Closure(int): bool)|null  $goOn  asked now and then with the steps taken; false: enough
     * @param  int  $most  loads of one session that are looked at
     */
    public function __construct(
        private readonly SessionProblem $problem,
        private readonly array $room,
        private readonly SessionWindows $windows,
        private readonly bool $isPlain,
        private readonly int $budget,
        private readonly ?Closure $goOn,
        private readonly int $most = self::MOST,
    ) {}

    public function steps(): int
    {
        return $this->steps;
    }

    public function hasEnded(): bool
    {
        return $this->cut;
    }

    /** It ended before everything was looked at. */
    public function isPartial(): bool
    {
        return $this->cut || $this->partial;
    }

    /**
     * Loads of a session to which nothing could be added, fullest first.
     *
     * @param  array{int, int}  $done
     * @param  float  $least  minutes the session must hold, or the rest does not fit behind it
     * @return list<array{list<int>, float}>
     *
     * @phpstan-impure
     */
    public function of(int $k, array $done, float $least): array
    {
        $p = $this->problem;
        // Lessons that may stand here at all, in order; and how much of them is left from each on.
        $may = [];
        $n = count($p->tasks);
        for ($j = 0; $j < $n; $j++) {
            if (! SessionProblem::has($done, $j) && $this->windows->early[$j] <= $k && $this->windows->late[$j] >= $k) {
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
        if (++$this->steps > $this->budget || ($this->goOn !== null && $this->steps % self::ASKED_EVERY === 0 && ! ($this->goOn)($this->steps))) {
            $this->cut = true;

            return;
        }
        if ($sum + $rest[$i] < $least - Near::DUST) {
            return;
        }
        $count = count($may);
        for (; $i < $count; $i++) {
            $j = $may[$i];
            [$a, $b] = $p->before[$j];
            if ($sum + $p->minutes[$j] <= $this->room[$k] + Near::DUST && ($a & ~$done[0]) === 0 && ($b & ~$done[1]) === 0 && ($this->isPlain || $this->waited($j))) {
                break;
            }
            if ($this->windows->late[$j] === $k) {
                // It must stand here and cannot.
                return;
            }
        }
        if ($i === $count) {
            $sum >= $least - Near::DUST && $this->keep($k, $may, $done, $load, $sum, $loads);

            return;
        }
        $j = $may[$i];
        $this->collect($k, $may, $rest, $i + 1, SessionProblem::with($done, $j), [...$load, $j], $sum + $p->minutes[$j], $least, $loads);
        if ($this->windows->late[$j] > $k && ! $this->cut) {
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
            if ($open && $sum + $p->minutes[$i] <= $this->room[$k] + Near::DUST) {
                return;
            }
            if (! $open || ! $this->isPlain) {
                continue;
            }
            foreach ($load as $j) {
                if ($p->minutes[$j] > $p->minutes[$i] + Near::DUST || $sum - $p->minutes[$j] + $p->minutes[$i] > $this->room[$k] + Near::DUST || SessionProblem::has($p->before[$i], $j)) {
                    continue;
                }
                [$fa, $fb] = $p->after[$j];
                [$ga, $gb] = $p->after[$i];
                if (($fa & ~$ga) !== 0 || ($fb & ~$gb) !== 0 || self::needsIn($p, $load, $j)) {
                    continue;
                }
                // Of two that are alike the one with the lower number goes first.
                if ([$fa, $fb] !== [$ga, $gb] || $p->minutes[$i] > $p->minutes[$j] + Near::DUST || $i < $j) {
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
