<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/**
 * A plan put right from where the class really is: sessions that have begun keep
 * what was taught in them, and of what is still to come as few lessons as can be
 * are moved.
 *
 * @phpstan-import-type CourseLesson from CourseLayout
 */
final readonly class PlanMender
{
    /** Steps for each question whether a lesson can stay. */
    private const STEPS = 20_000;

    /**
     * @param  list<list<string>>  $sessions  lesson ids
     * @param  list<string>  $left  lessons for which no session has room
     * @param  list<string>  $moved  lessons that were laid in a coming session and stand in another now
     */
    private function __construct(public array $sessions, public array $left, public array $moved) {}

    /**
     * @param  list<CourseLesson>  $lessons  in course order
     * @param  list<float>  $minutes  usable ones of each session
     * @param  list<list<string>>  $plan  as it stands
     * @param  int  $begun  sessions that have begun
     * @param  list<string>  $taught  lessons of these that were taught; the others have to come again
     * @param  array<array-key, int>  $pins  session from 0, by lesson
     */
    public static function mend(array $lessons, array $minutes, array $plan, int $begun, array $taught, array $pins = []): self
    {
        $kept = array_map(fn (array $ids): array => array_values(array_intersect($ids, $taught)), array_slice($plan, 0, $begun));
        [$rest, $pins] = self::toCome($lessons, $kept, $pins);
        $room = array_slice($minutes, $begun);
        $stands = [];
        foreach (array_slice($plan, $begun) as $k => $ids) {
            $stands += array_fill_keys($ids, $k);
        }
        $laid = self::laid($rest, $room, $stands, $pins);
        $left = [];
        if ($laid === null) {
            // Not all of it fits any more: as much as does, and the rest is said.
            $layout = CourseLayout::of($rest, $room, $pins);
            [$laid, $left] = [$layout->sessions, $layout->left];
        }
        $moved = [];
        foreach ($laid as $k => $ids) {
            foreach ($ids as $id) {
                isset($stands[$id]) && $stands[$id] !== $k && $moved[] = $id;
            }
        }

        return new self([...$kept, ...$laid], $left, [...$moved, ...array_values(array_intersect($left, array_map(strval(...), array_keys($stands))))]);
    }

    /**
     * What is still to come, as a course of its own.
     *
     * @param  list<CourseLesson>  $lessons
     * @param  list<list<string>>  $kept  lessons of the sessions that have begun
     * @param  array<array-key, int>  $pins
     * @return array{list<CourseLesson>, array<array-key, int>} lessons, and pins counted from the first session to come
     */
    public static function toCome(array $lessons, array $kept, array $pins): array
    {
        $done = array_merge([], ...$kept);
        $rest = [];
        foreach ($lessons as $lesson) {
            if (! in_array($lesson['id'], $done, true)) {
                $rest[] = ['needs' => array_values(array_diff($lesson['needs'], $done))] + $lesson;
            }
        }
        $shifted = [];
        foreach ($pins as $lesson => $session) {
            if ($session >= count($kept) && ! in_array((string) $lesson, $done, true)) {
                $shifted[$lesson] = $session - count($kept);
            }
        }

        return [$rest, $shifted];
    }

    /**
     * @param  list<CourseLesson>  $lessons
     * @param  list<float>  $room
     * @param  array<array-key, int>  $stands
     * @param  array<array-key, int>  $pins
     * @return list<list<string>>|null null when not all of it fits
     */
    private static function laid(array $lessons, array $room, array $stands, array $pins): ?array
    {
        $longest = max([0.0, ...$room]);
        if (array_filter($lessons, fn (array $l): bool => $l['minutes'] > $longest + SessionProblem::EPS) !== []) {
            return null;
        }
        $asked = $pins + $stands;
        $found = self::within($lessons, $room, $asked);
        if ($found !== null) {
            return $found;
        }
        // Each that can stay beside those before it stays.
        $stay = $pins;
        $found = self::within($lessons, $room, $stay);
        foreach ($found === null ? [] : $stands as $lesson => $session) {
            $with = isset($stay[$lesson]) ? null : self::within($lessons, $room, $stay + [$lesson => $session]);
            if ($with !== null) {
                $stay[$lesson] = $session;
                $found = $with;
            }
        }

        return $found;
    }

    /**
     * @param  list<CourseLesson>  $lessons
     * @param  list<float>  $room
     * @param  array<array-key, int>  $pins
     * @return list<list<string>>|null
     */
    private static function within(array $lessons, array $room, array $pins): ?array
    {
        $tasks = array_map(fn (array $l): PlanTask => new PlanTask($l['id'], $l['minutes'], $l['needs'], $l['foot'] ?? null, $pins[$l['id']] ?? 0, $pins[$l['id']] ?? null), $lessons);
        $problem = SessionProblem::of($tasks, max([1.0, ...$room]), $room);
        $found = (new Search($problem, self::STEPS))->within($room);
        if (! is_array($found)) {
            return null;
        }

        return array_map(fn (array $load): array => array_map(fn (int $j): string => $problem->tasks[$j]->id, FootOrder::of($problem, $load)[0]), $found);
    }
}
