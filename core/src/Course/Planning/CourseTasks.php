<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/**
 * A course with its wishes as tasks to be laid into sessions, and what was laid
 * as lessons again: groups taken apart, and what is sewn at home after the
 * session that readies for it.
 *
 * @phpstan-type CourseLesson array{id: string, minutes: float, needs: list<string>, foot?: string|null, strand?: string|null}
 */
final readonly class CourseTasks
{
    /**
     * @param  list<PlanTask>  $tasks  groups as one
     * @param  list<string>  $left  lessons for which no session has room, and what stands on them
     * @param  array<string, list<string>>  $home  what each lesson sewn at home stands on
     * @param  array<string, list<string>>  $needs  of each lesson
     */
    private function __construct(public array $tasks, public array $left, private array $home, private array $needs, private TaughtTogether $joined, private HomeBounds $bounds) {}

    /**
     * @param  list<CourseLesson>  $lessons  in course order
     * @param  float  $longest  usable minutes of the longest session
     *
     * @throws InputError when wishes contradict each other
     */
    public static function of(array $lessons, float $longest, PlanWishes $wishes): self
    {
        $home = [];
        $needs = [];
        $left = [];
        $tasks = [];
        $bounds = HomeBounds::of($lessons, $wishes);
        foreach ($wishes->order->sort($lessons) as $lesson) {
            $id = $lesson['id'];
            if (array_intersect($lesson['needs'], $left) !== [] || (! in_array($id, $wishes->home, true) && $lesson['minutes'] > $longest + Near::DUST)) {
                // Too long for any session, or on top of one that is: said as left over, and the rest is laid.
                $left[] = $id;

                continue;
            }
            $needs[$id] = $lesson['needs'];
            if (in_array($id, $wishes->home, true)) {
                $home[$id] = $lesson['needs'];

                continue;
            }
            $tasks[] = self::task($lesson, $home, $wishes, $bounds);
        }
        $joined = TaughtTogether::join($tasks, self::between($tasks, array_values(array_filter(array_map(fn (array $g): array => array_values(array_diff($g, $left)), $wishes->together), fn (array $g): bool => count($g) > 1))));
        foreach ($joined->tasks as $task) {
            $task->minutes <= $longest + Near::DUST || throw InputError::at('together', $joined->members($task->id), sprintf('“%s” take %g min together, and no session has more than %g. Take one out, or make a session longer.', implode('” and “', $joined->members($task->id)), $task->minutes, $longest));
        }

        return new self($joined->tasks, $left, $home, $needs, $joined, $bounds);
    }

    /**
     * A group takes in what lies between its members: what stands on one and readies for another.
     *
     * @param  list<PlanTask>  $tasks
     * @param  list<list<string>>  $groups
     * @return list<list<string>>
     */
    private static function between(array $tasks, array $groups): array
    {
        $below = array_fill_keys(array_map(fn (PlanTask $t): string => $t->id, $tasks), []);
        // Lessons may be given in any order: until nothing is added.
        do {
            $before = $below;
            foreach ($groups === [] ? [] : $tasks as $task) {
                foreach ($task->needs as $need) {
                    $below[$task->id] += [$need => true] + ($below[$need] ?? []);
                }
            }
        } while ($below !== $before);

        return array_map(fn (array $group): array => array_values(array_unique([...$group, ...array_values(array_filter(
            array_map(strval(...), array_keys($below)),
            fn (string $id): bool => array_intersect_key($below[$id], array_flip($group)) !== [] && array_filter($group, fn (string $g): bool => isset($below[$g][$id])) !== [],
        ))])), $groups);
    }

    /**
     * @param  list<list<string>>  $laid  tasks by session, in teaching order
     * @return array{list<list<string>>, list<list<string>>} lessons by session, and those sewn at home after each
     */
    public function unpack(array $laid): array
    {
        $sessions = array_map(fn (array $ids): array => $this->joined->apart($ids, $this->needs), $laid);
        $in = [];
        foreach ($sessions as $k => $ids) {
            $in += array_fill_keys($ids, $k);
        }
        foreach ($this->home as $id => $needs) {
            // After a session that nothing is taught in any more, where it was bound so late.
            $sessions = array_pad($sessions, ($this->bounds->from[$id] ?? 0) + 1, []);
        }
        $home = array_fill(0, count($sessions), []);
        foreach ($this->home as $id => $needs) {
            // Handed out in the first session at the earliest, and not before it may be.
            $in[$id] = max([$this->bounds->from[$id] ?? 0, ...array_map(fn (string $n): int => $in[$n] ?? 0, $needs)]);
            $home[$in[$id]][] = (string) $id;
        }

        return [$sessions, $home];
    }

    /**
     * The lessons a task stands for.
     *
     * @return list<string>
     */
    public function members(string $task): array
    {
        return $this->joined->members($task);
    }

    /** Of what a task stands for, the lesson that another needs, or the first where it needs none of them itself. */
    public function needed(string $lesson, string $task): string
    {
        $members = $this->members($task);

        return array_values(array_intersect($this->needs[$lesson] ?? [], $members))[0] ?? $members[0] ?? $task;
    }

    /**
     * @param  CourseLesson  $lesson
     * @param  array<string, list<string>>  $home
     */
    private static function task(array $lesson, array $home, PlanWishes $wishes, HomeBounds $bounds): PlanTask
    {
        $id = $lesson['id'];
        $from = max($wishes->notBefore[$id] ?? 0, $wishes->pins[$id] ?? 0);
        $to = min($wishes->notAfter[$id] ?? PHP_INT_MAX, $wishes->pins[$id] ?? PHP_INT_MAX, $bounds->to[$id] ?? PHP_INT_MAX);
        $home === [] || $to >= $from || ($bounds->to[$id] ?? PHP_INT_MAX) !== $to || throw InputError::at('not_after', $id, sprintf('“%s” readies for what is sewn at home after session %d at the latest, and may not stand before session %d. Free one of the bounds.', $id, $to + 1, $from + 1));
        $from <= $to || throw InputError::at('pins', $id, sprintf('“%s” is pinned to session %d, where it may not stand. Take the pin off, or free its bound.', $id, ($wishes->pins[$id] ?? $from) + 1));
        // What something at home stands on must lie in an earlier session than what stands on that.
        $earlier = [];
        foreach (array_intersect($lesson['needs'], array_keys($home)) as $at) {
            $earlier = [...$earlier, ...self::readies($at, $home)];
            $from = max($from, ($bounds->from[$at] ?? 0) + 1);
        }
        $from <= $to || throw InputError::at('pins', $id, sprintf('“%s” stands on what is sewn at home after session %d at the earliest, and may not stand later. Free a bound.', $id, $from));

        return new PlanTask(
            $id, $lesson['minutes'], array_values(array_diff($lesson['needs'], array_keys($home))), $lesson['foot'] ?? null,
            $from, $to === PHP_INT_MAX ? null : $to, $lesson['strand'] ?? null, array_values(array_unique($earlier)),
        );
    }

    /**
     * @param  array<string, list<string>>  $home
     * @return list<string> lessons taught in class that ready for one at home, also by way of others at home
     */
    private static function readies(string $id, array $home): array
    {
        $all = [];
        foreach ($home[$id] as $need) {
            $all = [...$all, ...(isset($home[$need]) ? self::readies($need, $home) : [$need])];
        }

        return $all;
    }
}
