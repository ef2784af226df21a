<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/**
 * Lessons, what they need, and the minutes of the sessions: simple assembly line
 * balancing, with lessons for tasks and sessions for stations. Lessons are
 * numbered so that what a lesson needs has a lower number; sets of lessons are
 * kept as two integers of 60 bits.
 */
final readonly class SessionProblem
{
    public const MOST_LESSONS = 120;

    /**
     * @param  list<PlanTask>  $tasks  by number
     * @param  list<float>  $minutes
     * @param  list<array{int, int}>  $before  direct needs, as a set
     * @param  list<array{int, int}>  $above  all it stands on, as a set
     * @param  list<array{int, int}>  $after  all that stands on it, as a set
     * @param  list<array{int, int}>  $sooner  direct needs that stand in an earlier session, as a set
     * @param  list<list<int>>  $needs  direct
     * @param  list<list<int>>  $next  direct
     * @param  list<float>  $headMinutes  of all it stands on
     * @param  list<float>  $tailMinutes  of all that stands on it
     * @param  list<float>  $sessionMinutes  of the first sessions, where they differ
     */
    private function __construct(
        public array $tasks,
        public array $minutes,
        public array $before,
        public array $above,
        public array $after,
        public array $sooner,
        public array $needs,
        public array $next,
        public array $headMinutes,
        public array $tailMinutes,
        public float $capacity,
        public array $sessionMinutes,
    ) {}

    /**
     * @param  list<PlanTask>  $tasks  in the order the teacher has them
     * @param  float  $capacity  minutes of a session
     * @param  list<float>  $sessionMinutes  of the first sessions, where they differ
     *
     * @throws InputError for an unknown need, a circle, or a lesson longer than any session
     */
    public static function of(array $tasks, float $capacity, array $sessionMinutes = []): self
    {
        count($tasks) <= self::MOST_LESSONS || throw InputError::at('lessons', count($tasks), sprintf('At most %d lessons can be planned at once.', self::MOST_LESSONS));
        $given = [];
        foreach ($tasks as $i => $task) {
            isset($given[$task->id]) && throw InputError::at("lessons[$i].id", $task->id, 'Each lesson can be planned once.');
            $given[$task->id] = $i;
        }
        $longest = max($capacity, ...$sessionMinutes, ...[0.0]);
        foreach ($tasks as $i => $task) {
            foreach ([...$task->needs, ...$task->earlier] as $k => $need) {
                isset($given[$need]) || throw InputError::at("lessons[$i].needs[$k]", $need, 'This must be the id of a lesson of the plan.');
            }
            $task->minutes > 0 || throw InputError::at("lessons[$i].minutes", $task->minutes, 'A lesson takes more than 0 minutes.');
            $task->minutes <= $longest + Near::DUST || throw InputError::at("lessons[$i].minutes", $task->minutes, sprintf('“%s” takes %g min, and no session has more than %g. Make the sessions longer, or split the lesson.', $task->id, $task->minutes, $longest));
        }
        $order = self::order($tasks, $given);
        $number = array_flip($order);
        $n = count($tasks);
        $needs = $next = array_fill(0, $n, []);
        $above = $after = $before = $sooner = array_fill(0, $n, [0, 0]);
        $sorted = [];
        foreach ($order as $j => $i) {
            $sorted[] = $tasks[$i];
            foreach ($tasks[$i]->earlier as $need) {
                $sooner[$j] = self::with($sooner[$j], $number[$given[$need]]);
            }
            foreach (array_unique([...$tasks[$i]->needs, ...$tasks[$i]->earlier]) as $need) {
                $p = $number[$given[$need]];
                $needs[$j][] = $p;
                $next[$p][] = $j;
                $before[$j] = self::with($before[$j], $p);
                $above[$j] = self::union(self::with($above[$j], $p), $above[$p]);
            }
        }
        for ($j = $n - 1; $j >= 0; $j--) {
            foreach ($next[$j] as $s) {
                $after[$j] = self::union(self::with($after[$j], $s), $after[$s]);
            }
        }
        $minutes = array_map(fn (PlanTask $t): float => $t->minutes, $sorted);

        return new self(
            $sorted, $minutes, $before, $above, $after, $sooner, $needs, $next,
            array_map(fn (array $set): float => self::sum($set, $minutes), $above), array_map(fn (array $set): float => self::sum($set, $minutes), $after),
            $capacity, $sessionMinutes,
        );
    }

    /** Minutes of a session, counted from 0. */
    public function sessionAt(int $k): float
    {
        return $this->sessionMinutes[$k] ?? $this->capacity;
    }

    /** Every session has the same minutes. */
    public function isUniform(): bool
    {
        return array_filter($this->sessionMinutes, fn (float $m): bool => abs($m - $this->capacity) > Near::DUST) === [];
    }

    /** No lesson is bound to a session, and none has to wait for the next. */
    public function isFree(): bool
    {
        return array_filter($this->tasks, fn (PlanTask $t): bool => ! $t->isFree() || $t->earlier !== []) === [];
    }

    /** The longest of the first sessions. */
    public function longest(int $sessions): float
    {
        return max([0.0, ...array_map($this->sessionAt(...), range(0, max(0, $sessions - 1)))]);
    }

    /**
     * Minutes of each of the first sessions.
     *
     * @return list<float>
     */
    public function room(int $sessions): array
    {
        return array_map($this->sessionAt(...), range(0, max(0, $sessions - 1)));
    }

    /** No plan needs more sessions: one for each lesson, after all that differ and all that are named. */
    public function most(): int
    {
        return count($this->tasks) + count($this->sessionMinutes) + max([0, ...array_map(fn (PlanTask $t): int => max($t->notBefore, $t->notAfter ?? 0), $this->tasks)]) + 1;
    }

    /**
     * Minutes of some of the lessons.
     *
     * @param  list<int>  $load
     */
    public function minutesOf(array $load): float
    {
        return array_sum(array_map(fn (int $j): float => $this->minutes[$j], $load));
    }

    /**
     * The largest share of its minutes that a session uses.
     *
     * @param  list<list<int>>  $laid
     */
    public function fullest(array $laid): float
    {
        $full = 0.0;
        foreach ($laid as $k => $load) {
            $room = $this->sessionAt($k);
            $full = max($full, $room > 0 ? $this->minutesOf($load) / $room : 0.0);
        }

        return $full;
    }

    public function total(): float
    {
        return array_sum($this->minutes);
    }

    /**
     * The same lessons without some of the bounds on sessions.
     *
     * @param  list<string>  $without  ids
     */
    public function withoutBounds(array $without): self
    {
        return self::of(array_map(fn (PlanTask $t): PlanTask => in_array($t->id, $without, true) ? $t->within(0, null) : $t, $this->tasks), $this->capacity, $this->sessionMinutes);
    }

    /**
     * @param  array{int, int}  $set
     * @return array{int, int}
     */
    public static function with(array $set, int $j): array
    {
        $j < 60 ? $set[0] |= 1 << $j : $set[1] |= 1 << ($j - 60);

        return $set;
    }

    /** @param  array{int, int}  $set */
    public static function has(array $set, int $j): bool
    {
        return ($j < 60 ? $set[0] >> $j : $set[1] >> ($j - 60)) % 2 === 1;
    }

    /**
     * @param  array{int, int}  $a
     * @param  array{int, int}  $b
     * @return array{int, int}
     */
    public static function union(array $a, array $b): array
    {
        return [$a[0] | $b[0], $a[1] | $b[1]];
    }

    /**
     * @param  array{int, int}  $set
     * @param  list<float>  $minutes
     */
    private static function sum(array $set, array $minutes): float
    {
        $sum = 0.0;
        foreach ($minutes as $j => $m) {
            $sum += self::has($set, $j) ? $m : 0.0;
        }

        return $sum;
    }

    /**
     * The teacher's order, but nothing before what it needs.
     *
     * @param  list<PlanTask>  $tasks
     * @param  array<array-key, int>  $given
     * @return list<int>
     */
    private static function order(array $tasks, array $given): array
    {
        $order = [];
        /** @var array<int, bool> $done */
        $done = [];
        foreach (array_keys($tasks) as $i) {
            self::visit($i, [], $tasks, $given, $done, $order);
        }

        return $order;
    }

    /**
     * @param  list<int>  $trail
     * @param  list<PlanTask>  $tasks
     * @param  array<array-key, int>  $given
     * @param  array<int, bool>  $done
     * @param  list<int>  $order
     *
     * @param-out array<int, bool> $done
     * @param-out list<int> $order
     */
    private static function visit(int $i, array $trail, array $tasks, array $given, array &$done, array &$order): void
    {
        if (isset($done[$i])) {
            return;
        }
        $from = array_search($i, $trail, true);
        if ($from !== false) {
            $circle = array_map(fn (int $x): string => "“{$tasks[$x]->id}”", [...array_slice($trail, $from), $i]);
            throw InputError::at("lessons[$i].needs", $tasks[$i]->needs, 'These lessons need each other in a circle: '.implode(' needs ', $circle).'. Take one of these needs out.');
        }
        foreach ([...$tasks[$i]->needs, ...$tasks[$i]->earlier] as $need) {
            self::visit($given[$need], [...$trail, $i], $tasks, $given, $done, $order);
        }
        $done[$i] = true;
        $order[] = $i;
    }
}
