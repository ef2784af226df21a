<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\InputError;

/**
 * Bounds and pins of lessons sewn at home, and what follows from them for those
 * that ready for them. Session k stands for the time after it.
 *
 * @phpstan-import-type CourseLesson from CourseTasks
 */
final readonly class HomeBounds
{
    /**
     * @param  array<string, int>  $from  earliest session after which each lesson at home can be sewn, from 0
     * @param  array<string, int>  $to  latest session, of lessons at home and of those that ready for them
     */
    private function __construct(public array $from, public array $to) {}

    /**
     * @param  list<CourseLesson>  $lessons
     *
     * @throws InputError naming the lesson whose bounds leave no session
     */
    public static function of(array $lessons, PlanWishes $wishes): self
    {
        $needs = array_column($lessons, 'needs', 'id');
        $from = $to = [];
        foreach ($wishes->home as $id) {
            $from[$id] = max($wishes->notBefore[$id] ?? 0, $wishes->pins[$id] ?? 0);
            $latest = min($wishes->notAfter[$id] ?? PHP_INT_MAX, $wishes->pins[$id] ?? PHP_INT_MAX);
            $latest === PHP_INT_MAX || $to[$id] = $latest;
        }
        // As many rounds as the longest way can have steps.
        for ($round = 0; $round < count($lessons); $round++) {
            $before = [$from, $to];
            foreach ($wishes->home as $id) {
                foreach ($needs[$id] ?? [] as $need) {
                    // One at home after another at home; in class it may stand in the session after which this is sewn.
                    $from[$id] = max($from[$id], $from[$need] ?? 0, isset($from[$need]) ? 0 : max($wishes->notBefore[$need] ?? 0, $wishes->pins[$need] ?? 0));
                    isset($to[$id]) && $to[$need] = min($to[$need] ?? PHP_INT_MAX, $to[$id]);
                }
            }
            if ([$from, $to] === $before) {
                break;
            }
        }
        foreach ($wishes->home as $id) {
            ($to[$id] ?? PHP_INT_MAX) >= $from[$id] || throw InputError::at('not_after', $id, sprintf('“%s” is sewn at home after session %d at the latest, and cannot be before session %d. Free one of its bounds, or of what readies for it.', $id, ($to[$id] ?? 0) + 1, $from[$id] + 1));
        }

        return new self($from, $to);
    }
}
