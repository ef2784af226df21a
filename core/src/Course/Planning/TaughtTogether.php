<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\InputError;

/** Lessons that are to stand in one session, laid as one lesson and taken apart again. */
final readonly class TaughtTogether
{
    /**
     * @param  list<PlanTask>  $tasks  each group as one
     * @param  array<string, list<string>>  $groups  lessons by the id of the one
     */
    private function __construct(public array $tasks, private array $groups) {}

    /**
     * @param  list<PlanTask>  $tasks
     * @param  list<list<string>>  $together  ids; a lesson can be in one group only
     *
     * @throws InputError for an unknown lesson, one in two groups, or bounds that have no session in common
     */
    public static function join(array $tasks, array $together): self
    {
        $byId = array_combine(array_map(fn (PlanTask $t): string => $t->id, $tasks), $tasks);
        $of = [];
        $groups = [];
        foreach ($together as $g => $ids) {
            foreach ($ids as $i => $id) {
                isset($byId[$id]) || throw InputError::at("together[$g][$i]", $id, 'This must be the id of a lesson of the plan.');
                isset($of[$id]) && throw InputError::at("together[$g][$i]", $id, 'A lesson can be taught together with one group only.');
                $of[$id] = implode('+', $ids);
            }
            $groups[implode('+', $ids)] = $ids;
        }
        $joined = [];
        foreach ($tasks as $task) {
            $name = $of[$task->id] ?? $task->id;
            if (isset($joined[$name])) {
                continue;
            }
            $members = array_map(fn (string $id): PlanTask => $byId[$id], $groups[$name] ?? [$task->id]);
            $needs = array_map(fn (string $id): string => $of[$id] ?? $id, array_merge(...array_map(fn (PlanTask $t): array => $t->needs, $members)));
            $earlier = array_map(fn (string $id): string => $of[$id] ?? $id, array_merge(...array_map(fn (PlanTask $t): array => $t->earlier, $members)));
            in_array($name, $earlier, true) && throw InputError::at('together', $groups[$name] ?? [], 'Between these something is sewn at home: they cannot stand in one session.');
            $strands = array_unique(array_map(fn (PlanTask $t): string => $t->strand ?? '', $members));
            $from = max([0, ...array_map(fn (PlanTask $t): int => $t->notBefore, $members)]);
            $to = min([PHP_INT_MAX, ...array_map(fn (PlanTask $t): int => $t->notAfter ?? PHP_INT_MAX, $members)]);
            $to >= $from || throw InputError::at('together', $groups[$name] ?? [], 'These are to stand together, and are bound to sessions that have none in common.');
            $joined[$name] = new PlanTask(
                $name, array_sum(array_map(fn (PlanTask $t): float => $t->minutes, $members)), array_values(array_unique(array_diff($needs, [$name]))),
                count($members) === 1 ? $task->foot : null, $from, $to === PHP_INT_MAX ? null : $to,
                count($strands) === 1 ? $task->strand : null, array_values(array_unique($earlier)),
            );
        }

        return new self(array_values($joined), $groups);
    }

    /**
     * @param  list<string>  $ids  in teaching order, groups as one
     * @param  array<string, list<string>>  $needs  of each lesson
     * @return list<string> with the lessons of each group in an order that holds
     */
    public function apart(array $ids, array $needs): array
    {
        $all = [];
        foreach ($ids as $id) {
            $left = $this->groups[$id] ?? [$id];
            while ($left !== []) {
                foreach ($left as $i => $lesson) {
                    if (array_intersect($needs[$lesson] ?? [], $left) === []) {
                        $all[] = $lesson;
                        unset($left[$i]);
                        break;
                    }
                }
            }
        }

        return $all;
    }

    /** @return list<string> the lessons that one of the joined stands for */
    public function members(string $id): array
    {
        return $this->groups[$id] ?? [$id];
    }
}
