<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Near;

/**
 * Looks at a plan as the teacher has it: what runs over, and what stands before
 * something it needs.
 *
 * @phpstan-type PlanLesson array{id: string, minutes: float, needs: list<string>}
 */
final class PlanReview
{
    /**
     * Share of its usable time that the fullest session takes; 0 where none has any.
     *
     * @param  list<float>  $used  minutes, by session
     * @param  list<float>  $usable  likewise
     */
    public static function fullest(array $used, array $usable): float
    {
        return max([0.0, ...array_map(fn (float $taken, float $of): float => $of > 0 ? $taken / $of : 0.0, $used, $usable)]);
    }

    /**
     * What is wrong with a plan as it stands.
     *
     * @param  list<PlanLesson>  $lessons
     * @param  list<list<string>>  $plan  lesson ids by session
     * @param  list<float>  $sessions  usable minutes of each
     * @param  list<list<string>>  $home  lessons sewn at home after each session
     * @param  int  $over  sessions that are over: how full they were is nobody's worry any more
     * @return list<array{kind: string, session: int, lesson: string|null, needs: string|null, over: float}> kind "overfull" or "prerequisite"; sessions from 0
     */
    public static function of(array $lessons, array $plan, array $sessions, array $home = [], int $over = 0): array
    {
        $byId = array_column($lessons, null, 'id');
        $problems = [];
        $order = [];
        foreach ($plan as $s => $ids) {
            $minutes = array_sum(array_map(fn (string $id): float => $byId[$id]['minutes'] ?? 0.0, $ids));
            if ($s >= $over && $minutes > $sessions[$s] + Near::DUST) {
                $problems[] = ['kind' => 'overfull', 'session' => $s, 'lesson' => null, 'needs' => null, 'over' => $minutes - $sessions[$s]];
            }
            foreach ([...$ids, ...$home[$s] ?? []] as $id) {
                $order[$id] = count($order);
            }
        }
        foreach ($plan as $s => $ids) {
            foreach ([...$ids, ...$home[$s] ?? []] as $id) {
                foreach ($byId[$id]['needs'] ?? [] as $need) {
                    if (($order[$need] ?? PHP_INT_MAX) > $order[$id]) {
                        $problems[] = ['kind' => 'prerequisite', 'session' => $s, 'lesson' => $id, 'needs' => $need, 'over' => 0.0];
                    }
                }
            }
        }

        return $problems;
    }
}
