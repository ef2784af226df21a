<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use InvalidArgumentException;

/**
 * Lays lessons into sessions in course order: each goes into the first session
 * that is not before the ones it needs and still has the minutes. Simple on
 * purpose: it keeps the teacher's order and says what does not fit.
 *
 * @phpstan-type PlanLesson array{id: string, minutes: float, needs: list<string>}
 */
final class SessionPlanner
{
    /**
     * @param  list<PlanLesson>  $lessons  in course order; what a lesson needs comes before it
     * @param  list<float>  $sessions  usable minutes of each session
     * @return array{sessions: list<list<string>>, left: list<string>} left: lessons for which no session has room
     *
     * @throws InvalidArgumentException when a lesson needs one that does not come before it
     */
    public static function lay(array $lessons, array $sessions): array
    {
        $laid = array_fill(0, count($sessions), []);
        $room = $sessions;
        $in = [];
        $left = [];
        foreach ($lessons as $lesson) {
            $earliest = 0;
            foreach ($lesson['needs'] as $need) {
                if (in_array($need, $left, true)) {
                    $earliest = count($sessions);
                    break;
                }
                $earliest = max($earliest, $in[$need] ?? throw new InvalidArgumentException("Lesson \"{$lesson['id']}\" needs \"$need\", which does not come before it."));
            }
            $placed = false;
            for ($s = $earliest; $s < count($sessions); $s++) {
                if ($lesson['minutes'] <= $room[$s] + 1e-9) {
                    $laid[$s][] = $lesson['id'];
                    $room[$s] -= $lesson['minutes'];
                    $in[$lesson['id']] = $s;
                    $placed = true;
                    break;
                }
            }
            if (! $placed) {
                $left[] = $lesson['id'];
            }
        }

        return ['sessions' => $laid, 'left' => $left];
    }

    /**
     * What is wrong with a plan as it stands.
     *
     * @param  list<PlanLesson>  $lessons
     * @param  list<list<string>>  $plan  lesson ids by session
     * @param  list<float>  $sessions  usable minutes of each
     * @return list<array{kind: string, session: int, lesson: string|null, needs: string|null, over: float}> kind "overfull" or "prerequisite"; sessions from 0
     */
    public static function review(array $lessons, array $plan, array $sessions): array
    {
        $byId = array_column($lessons, null, 'id');
        $problems = [];
        $order = [];
        foreach ($plan as $s => $ids) {
            $minutes = array_sum(array_map(fn (string $id): float => $byId[$id]['minutes'] ?? 0.0, $ids));
            if ($minutes > $sessions[$s] + 1e-9) {
                $problems[] = ['kind' => 'overfull', 'session' => $s, 'lesson' => null, 'needs' => null, 'over' => $minutes - $sessions[$s]];
            }
            foreach ($ids as $id) {
                $order[$id] = count($order);
            }
        }
        foreach ($plan as $s => $ids) {
            foreach ($ids as $id) {
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
