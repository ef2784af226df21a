<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonRoom;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Near;
use OpenSeam\Core\NextLesson\Candidate;

/** The bench of a real room: what its machines and feet can do for the lessons in question. */
final readonly class RoomBench
{
    /** Places at the table, for what needs no machine, are named so. */
    public const TABLE = 'table ';

    /** Choices after the first that are weighed. */
    private const CHOICES = 5;

    /** The best of the other choices is worth this much of the first; common practice, no source. */
    private const SECOND = 0.75;

    /** What is worth less is better waited for than sewn. */
    private const LEAST = 0.15;

    /**
     * @param  array<string, Lesson>  $lessons
     * @param  array<string, array<string, float>>  $wants  value of each lesson by student, first choice first
     * @param  array<string, string>  $at  machine by student
     * @param  array<string, string>  $held  machine by student
     */
    public static function problem(Room $room, array $lessons, array $wants, int $mostLessons, array $at, array $held = []): BenchProblem
    {
        // The table first: whoever needs no machine and has none of their own leaves them to others.
        $tables = array_map(fn (int $i): string => self::TABLE.($i + 1), array_keys(array_values($wants)));
        $machines = array_fill_keys([...$tables, ...array_map(strval(...), array_keys($room->machines))], []);
        $needs = $stocks = $plenty = [];
        foreach ($lessons as $id => $lesson) {
            if (! $lesson->machine) {
                $needs[$id] = null;
                foreach (array_keys($machines) as $place) {
                    $machines[$place][] = (string) $id;
                }

                continue;
            }
            $fit = LessonRoom::of($lesson, $room);
            foreach ($fit->machines as $machine) {
                $machines[$machine][] = (string) $id;
            }
            [$needs[$id], $feet, $free] = self::scarce($fit, $room);
            foreach ($feet as $foot => $on) {
                $stocks[$foot] = array_values(array_unique([...($stocks[$foot] ?? []), ...$on]));
            }
            $needs[$id] === null || $free === [] || $plenty[] = new FootStock($needs[$id], $free, count($free), (string) $id);
        }

        return new BenchProblem(
            $wants, $needs, $machines,
            [...array_map(fn (string|int $foot, array $on): FootStock => new FootStock($room->feet[$foot]->kind->id, $on, $room->feet[$foot]->count), array_keys($stocks), $stocks), ...$plenty],
            $mostLessons, array_intersect_key(array_filter($at, fn (string $m): bool => isset($machines[$m])), $wants), array_intersect_key(array_filter($held, fn (string $m): bool => isset($machines[$m])), $wants),
        );
    }

    /**
     * The foot that a lesson could run out of, the machines each of that kind fits, and those that
     * sew the lesson another way and need none.
     *
     * @return array{string|null, array<array-key, list<string>>, list<string>} kind, null where there are enough for every machine; machines by foot
     */
    private static function scarce(LessonRoom $fit, Room $room): array
    {
        [$way, $least] = [null, 0];
        foreach ($fit->ways as $w) {
            foreach ($w->feet as $i => $f) {
                if (! $f['shared'] && $f['best'] > 0 && $f['best'] < count($w->machines) && ($way === null || $f['best'] < $way->feet[$least]['best'])) {
                    [$way, $least] = [$w, $i];
                }
            }
        }
        if ($way === null) {
            return [null, [], []];
        }
        // One for each of the way's findings, in the same order.
        $need = $way->lesson->sews[$least];
        $kind = $way->feet[$least]['kind'];
        $on = [];
        foreach ($way->machines as $machine) {
            foreach ($room->feetFor($machine, $need->setup) as $foot) {
                $room->feet[$foot]->kind->id !== $kind || $on[$foot][] = $machine;
            }
        }

        return [$kind, $on, array_values(array_diff($fit->machines, $way->machines))];
    }

    /**
     * What each lesson is worth to a student: the one they were given 1, the others by how much of the course a
     * minute of them does beside the most that a minute could, at most three quarters.
     *
     * @param  list<Candidate>  $candidates  best first
     * @param  array<string, float>  $expected  samples until a good one, by lesson of the course still to come, as the forecast has it; what is not in it goes by what it would teach
     * @return array<string, float> first choice first
     */
    public static function wants(?string $first, array $candidates, array $expected = []): array
    {
        $wants = $first === null ? [] : [$first => 1.0];
        $others = [];
        $most = Near::DUST;
        $worth = self::worth($candidates, $expected);
        foreach ($candidates as $i => $c) {
            $most = ($c->ready && ! $c->passed) || $c->lesson === $first ? max($most, $worth[$i]) : $most;
            $c->ready && ! $c->passed && $c->drill === null && $c->lesson !== $first && $others[$c->lesson] = max($others[$c->lesson] ?? 0.0, $worth[$i]);
        }
        arsort($others);
        foreach (array_slice($others, 0, self::CHOICES) as $lesson => $gain) {
            $value = self::SECOND * $gain / $most;
            $value < self::LEAST || $wants[(string) $lesson] = $value;
        }

        return $wants;
    }

    /**
     * Share of a lesson that a minute does: one of so many samples, each of so many minutes.
     *
     * @param  list<Candidate>  $candidates
     * @param  array<string, float>  $expected
     * @return list<float> for each candidate
     */
    private static function worth(array $candidates, array $expected): array
    {
        $gains = array_map(fn (Candidate $c): float => $c->gainPerMinute, $candidates);
        $known = array_filter($candidates, fn (Candidate $c): bool => isset($expected[$c->lesson]) && $c->drill === null);
        if ($known === []) {
            return $gains;
        }
        $done = array_map(fn (Candidate $c): float => 1.0 / (max(1.0, $expected[$c->lesson]) * max(1.0, $c->minutes)), $known);
        // What lies outside the course keeps its place among the others by what it would teach.
        $scale = max($done) / max([Near::DUST, ...array_values(array_intersect_key($gains, $known))]);

        return array_map(fn (int $i): float => $done[$i] ?? $gains[$i] * $scale, array_keys($candidates));
    }

    /**
     * Round after round, until everybody who can be seated was: where there are
     * fewer machines or feet than students, they take turns.
     *
     * @param  Deadline|null  $deadline  after it rounds are seated simply
     * @return list<Seating>
     */
    public static function rounds(BenchProblem $problem, int $most = 4, ?Deadline $deadline = null): array
    {
        $rounds = [];
        $left = $problem->wants;
        while (count($rounds) < $most) {
            $of = new BenchProblem($left, $problem->lessons, $problem->machines, $problem->feet, $problem->mostLessons, $problem->at, array_intersect_key($problem->held, $left));
            $plan = BenchSolver::solve($of, count($left) > 16 ? 2_000 : BenchSolver::MOST_FLOWS, $deadline);
            if ($plan->seats === []) {
                break;
            }
            $rounds[] = $plan;
            $left = array_diff_key($left, $plan->seats);
        }

        return $rounds;
    }
}
