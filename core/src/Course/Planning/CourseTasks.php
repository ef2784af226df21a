<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\InputError;

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
    private function __construct(public array $tasks, public array $left, private array $home, private array $needs, private TaughtTogether $joined) {}

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
        foreach ($wishes->order->sort($lessons) as $lesson) {
            $id = $lesson['id'];
            if (array_intersect($lesson['needs'], $left) !== [] || (! in_array($id, $wishes->home, true) && $lesson['minutes'] > $longest + SessionProblem::EPS)) {
                // Too long for any session, or on top of one that is: said as left over, and the rest is laid.
                $left[] = $id;

                continue;
            }
            $needs[$id] = $lesson['needs'];
            if (in_array($id, $wishes->home, true)) {
                $home[$id] = $lesson['needs'];

                continue;
            }
            $tasks[] = self::task($lesson, $home, $wishes);
        }
        $joined = TaughtTogether::join($tasks, array_values(array_filter(array_map(fn (array $g): array => array_values(array_diff($g, $left)), $wishes->together), fn (array $g): bool => count($g) > 1)));
        foreach ($joined->tasks as $task) {
            $task->minutes <= $longest + SessionProblem::EPS || throw InputError::at('together', $joined->members($task->id), sprintf('“%s” take %g min together, and no session has more than %g. Take one out, or make a session longer.', implode('” and “', $joined->members($task->id)), $task->minutes, $longest));
        }

        return new self($joined->tasks, $left, $home, $needs, $joined);
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
        $home = array_fill(0, count($sessions), []);
        foreach ($this->home as $id => $needs) {
            // Handed out in the first session at the earliest.
            $in[$id] = max([0, ...array_map(fn (string $n): int => $in[$n] ?? 0, $needs)]);
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

    /**
     * @param  CourseLesson  $lesson
     * @param  array<string, list<string>>  $home
     */
    private static function task(array $lesson, array $home, PlanWishes $wishes): PlanTask
    {
        $id = $lesson['id'];
        $from = max($wishes->notBefore[$id] ?? 0, $wishes->pins[$id] ?? 0);
        $to = min($wishes->notAfter[$id] ?? PHP_INT_MAX, $wishes->pins[$id] ?? PHP_INT_MAX);
        $from <= $to || throw InputError::at('pins', $id, sprintf('“%s” is pinned to session %d, where it may not stand. Take the pin off, or free its bound.', $id, ($wishes->pins[$id] ?? $from) + 1));
        // What something at home stands on must lie in an earlier session than what stands on that.
        $earlier = [];
        foreach (array_intersect($lesson['needs'], array_keys($home)) as $at) {
            $earlier = [...$earlier, ...self::readies($at, $home)];
            $from = max($from, 1);
        }
        $from <= $to || throw InputError::at('pins', $id, sprintf('“%s” stands on what is sewn at home after session 1, and may not stand later. Free its bound.', $id));

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
