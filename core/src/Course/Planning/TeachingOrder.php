<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/**
 * In what order a course is taught where what needs what leaves a choice.
 *
 * @phpstan-import-type CourseLesson from CourseTasks
 */
enum TeachingOrder: string
{
    /** As the course has it. */
    case Course = 'course';
    /** Strand by strand, as the course begins them. */
    case StitchesFirst = 'stitches-first';
    /** Foot by foot, as the course first uses them. */
    case FeetFirst = 'feet-first';
    /** All on the first day: as much as it holds, in the order of the course. */
    case OneDay = 'one-day';

    /** Over as many sessions as it takes; otherwise what the first one holds, and no more of them are asked for. */
    public function spreads(): bool
    {
        return $this !== self::OneDay;
    }

    /**
     * @param  list<CourseLesson>  $lessons  in course order
     * @return list<CourseLesson> nothing before what it needs
     */
    public function sort(array $lessons): array
    {
        $kind = match ($this) {
            self::StitchesFirst => 'strand',
            self::FeetFirst => 'foot',
            default => null,
        };
        if ($kind === null) {
            return $lessons;
        }
        $rank = array_flip(array_values(array_unique(array_map(fn (array $l): string => $l[$kind] ?? '', $lessons))));
        $ids = array_map(fn (array $l): string => $l['id'], $lessons);
        $sorted = [];
        $now = null;
        while ($lessons !== []) {
            $open = array_filter($lessons, fn (array $l): bool => array_intersect($l['needs'], $ids) === []);
            if ($open === []) {
                // A circle: said where the plan is made.
                return [...$sorted, ...array_values($lessons)];
            }
            // What is in hand goes on; else the kind that the course begins first.
            $best = array_key_first($open);
            foreach ($open as $i => $l) {
                $a = [$now !== ($l[$kind] ?? ''), $rank[$l[$kind] ?? '']];
                $b = [$now !== ($open[$best][$kind] ?? ''), $rank[$open[$best][$kind] ?? '']];
                $best = $a < $b ? $i : $best;
            }
            $now = $lessons[$best][$kind] ?? '';
            $sorted[] = $lessons[$best];
            $ids = array_values(array_diff($ids, [$lessons[$best]['id']]));
            unset($lessons[$best]);
        }

        return $sorted;
    }
}
