<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/**
 * A plan put right from where the class really is: sessions that have begun keep
 * what was taught in them, and of what is still to come as few lessons as can be
 * are moved. Up to a few moves every choice of lessons is tried, fewest first, so
 * that fewer cannot do; beyond that each that can stay beside those before it stays.
 *
 * @phpstan-import-type CourseLesson from CourseTasks
 */
final class PlanMender
{
    /** Steps for each question whether lessons can stay. */
    private const STEPS = 20_000;

    /** Lessons moved at once of which every choice is tried. */
    private const MOST_TRIED = 4;

    /** Choices that are looked into. */
    private const MOST_CHOICES = 400;

    private int $choices = 0;

    /** Some question was not settled in its steps. */
    private bool $unsure = false;

    /**
     * @param  list<CourseLesson>  $lessons
     * @param  list<float>  $room  usable minutes of the sessions to come
     * @param  array<array-key, int>  $stands  where lessons stand, by lesson
     */
    private function __construct(private readonly array $lessons, private readonly array $room, private readonly PlanWishes $wishes, private readonly array $stands) {}

    /**
     * @param  list<CourseLesson>  $lessons  in course order
     * @param  list<float>  $minutes  usable ones of each session
     * @param  list<list<string>>  $plan  as it stands, class lessons only
     * @param  int  $begun  sessions that have begun
     * @param  list<string>  $taught  lessons of these that were taught; the others have to come again
     */
    public static function mend(array $lessons, array $minutes, array $plan, int $begun, array $taught, PlanWishes $wishes = new PlanWishes): MendedPlan
    {
        $kept = array_map(fn (array $ids): array => array_values(array_intersect($ids, $taught)), array_slice($plan, 0, $begun));
        $rest = self::toCome($lessons, $taught);
        $wishes = $wishes->toCome($begun, $taught);
        $room = array_slice($minutes, $begun);
        $stands = [];
        foreach (array_slice($plan, $begun) as $k => $ids) {
            $stands += array_fill_keys(array_diff($ids, $wishes->home), $k);
        }
        $mender = new self($rest, $room, $wishes, $stands);
        [$laid, $fewest] = $mender->laid();
        $left = [];
        if ($laid === null) {
            // Not all of it fits any more: as much as does, and the rest is said.
            $layout = CourseLayout::of($rest, $room, $wishes);
            [$laid, $left] = [[$layout->sessions, $layout->home], $layout->left];
        }
        $moved = [];
        foreach ($laid[0] as $k => $ids) {
            foreach ($ids as $id) {
                isset($stands[$id]) && $stands[$id] !== $k && $moved[] = $id;
            }
        }

        return new MendedPlan(
            [...$kept, ...$laid[0]], [...array_map(fn (): array => [], $kept), ...$laid[1]], $left,
            [...$moved, ...array_values(array_intersect($left, array_map(strval(...), array_keys($stands))))], $fewest,
        );
    }

    /**
     * What is still to come, as a course of its own.
     *
     * @param  list<CourseLesson>  $lessons
     * @param  list<string>  $done
     * @return list<CourseLesson>
     */
    public static function toCome(array $lessons, array $done): array
    {
        $rest = [];
        foreach ($lessons as $lesson) {
            if (! in_array($lesson['id'], $done, true)) {
                $rest[] = ['needs' => array_values(array_diff($lesson['needs'], $done))] + $lesson;
            }
        }

        return $rest;
    }

    /** @return array{array{list<list<string>>, list<list<string>>}|null, bool} class and home by session, null when not all of it fits; and whether fewer moves cannot do */
    private function laid(): array
    {
        $longest = max([0.0, ...$this->room]);
        if (array_filter($this->lessons, fn (array $l): bool => $l['minutes'] > $longest + Near::DUST && ! in_array($l['id'], $this->wishes->home, true)) !== []) {
            return [null, false];
        }
        if ($this->within($this->wishes->pins) === null) {
            return [null, false];
        }
        $movable = array_values(array_filter(array_map(strval(...), array_keys($this->stands)), fn (string $id): bool => ! isset($this->wishes->pins[$id])));
        for ($moved = 0; $moved <= min(self::MOST_TRIED, count($movable)); $moved++) {
            $found = $this->freeing($moved, $movable, 0, []);
            if ($found !== null) {
                return [$found, ! $this->unsure && $this->choices < self::MOST_CHOICES];
            }
            if ($this->choices >= self::MOST_CHOICES) {
                break;
            }
        }

        return [$this->oneByOne(), false];
    }

    /**
     * Every choice of so many lessons to move, the rest staying where it stands.
     *
     * @param  list<string>  $movable
     * @param  list<string>  $free
     * @return array{list<list<string>>, list<list<string>>}|null
     */
    private function freeing(int $more, array $movable, int $from, array $free): ?array
    {
        if ($this->choices >= self::MOST_CHOICES) {
            return null;
        }
        if ($more === 0) {
            $stay = $this->wishes->pins + array_diff_key($this->stands, array_fill_keys($free, 0));
            if (! $this->canStay($stay)) {
                return null;
            }
            $this->choices++;

            return $this->within($stay);
        }
        for ($i = $from; $i <= count($movable) - $more; $i++) {
            $found = $this->freeing($more - 1, $movable, $i + 1, [...$free, $movable[$i]]);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * Lessons that stay do not overfill a session, and none stands before what it needs.
     *
     * @param  array<array-key, int>  $stay
     */
    private function canStay(array $stay): bool
    {
        $used = [];
        foreach ($this->lessons as $lesson) {
            $at = $stay[$lesson['id']] ?? null;
            if ($at === null) {
                continue;
            }
            $used[$at] = ($used[$at] ?? 0.0) + $lesson['minutes'];
            if ($used[$at] > ($this->room[$at] ?? 0.0) + Near::DUST) {
                return false;
            }
            foreach ($lesson['needs'] as $need) {
                if (isset($stay[$need]) && $stay[$need] > $at) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * Each that can stay beside those before it stays.
     *
     * @return array{list<list<string>>, list<list<string>>}|null
     */
    private function oneByOne(): ?array
    {
        $stay = $this->wishes->pins;
        $found = $this->within($stay);
        foreach ($found === null ? [] : $this->stands as $lesson => $session) {
            $with = isset($stay[$lesson]) ? null : $this->within($stay + [$lesson => $session]);
            if ($with !== null) {
                $stay[$lesson] = $session;
                $found = $with;
            }
        }

        return $found;
    }

    /**
     * @param  array<array-key, int>  $pins
     * @return array{list<list<string>>, list<list<string>>}|null
     */
    private function within(array $pins): ?array
    {
        $wishes = new PlanWishes($pins, $this->wishes->notBefore, $this->wishes->notAfter, $this->wishes->together, $this->wishes->home, $this->wishes->order);
        try {
            $tasks = CourseTasks::of($this->lessons, max([0.0, ...$this->room]), $wishes);
        } catch (InputError) {
            // Bounds of one group that no session has in common.
            return null;
        }
        $problem = SessionProblem::of($tasks->tasks, max([1.0, ...$this->room]), $this->room);
        $found = (new Search($problem, self::STEPS))->within($this->room);
        $this->unsure = $this->unsure || $found->outcome === Outcome::Undecided;
        if ($found->outcome !== Outcome::Found) {
            return null;
        }

        return $tasks->unpack(array_map(fn (array $o): array => array_map(fn (int $j): string => $problem->tasks[$j]->id, $o[0]), StrandKeeper::ordered($problem, $found->sessions)));
    }
}
