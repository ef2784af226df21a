<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

use OpenSeam\Core\Deadline;
use OpenSeam\Core\Words;

/** Why somebody does not sew their first choice, and what it would cost if they did. */
final readonly class BenchReasons
{
    public const ALL = ['nothing-to-sew', 'no-machine', 'no-foot', 'lessons', 'foot', 'machine'];

    /** Flows for one "what if"; it is an explanation, not the plan. */
    private const MOST_FLOWS = 60;

    private function __construct(private BenchProblem $problem, private Seating $plan, private Words $words, private Deadline $deadline) {}

    /**
     * @param  array<string, string>  $names  of students and lessons, to say them by; default their ids
     * @param  Deadline|null  $deadline  after it no cost is worked out any more
     * @return list<array{student: string, because: string, text: string, cost: float|null}> cost in value, null where it cannot be, or was not worked out
     */
    public static function of(BenchProblem $problem, Seating $plan, Words $words, array $names = [], ?Deadline $deadline = null): array
    {
        $reasons = new self($problem, $plan, $words, $deadline ?? Deadline::never());
        $all = [];
        foreach ($problem->wants as $student => $wants) {
            $first = array_key_first($wants);
            if ($first === null || ($plan->seats[$student] ?? null)?->lesson !== (string) $first) {
                $all[] = $reasons->why((string) $student, $first === null ? null : (string) $first, $names);
            }
        }

        return $all;
    }

    /**
     * @param  array<string, string>  $names
     * @return array{student: string, because: string, text: string, cost: float|null}
     */
    private function why(string $student, ?string $first, array $names): array
    {
        [$because, $others] = $first === null ? ['nothing-to-sew', []] : $this->because($first);
        $name = fn (string $id): string => $names[$id] ?? $id;

        return [
            'student' => $student, 'because' => $because,
            'text' => $this->words->say("bench.$because", [
                'lesson' => $name((string) $first), 'most' => (string) $this->problem->mostLessons, 'foot' => (string) ($this->problem->lessons[$first ?? ''] ?? ''),
                'others' => implode(', ', array_map($name, $others)),
            ]),
            'cost' => $first === null || in_array($because, ['no-machine', 'no-foot'], true) || $this->deadline->passed() ? null : self::cost($this->problem, $this->plan, $student, $first, $this->deadline),
        ];
    }

    /** @return array{string, list<string>} what stands against it, and who has it instead */
    private function because(string $lesson): array
    {
        $machines = array_filter(array_map(strval(...), array_keys($this->problem->machines)), fn (string $m): bool => in_array($lesson, $this->problem->machines[$m], true));
        if ($machines === []) {
            return ['no-machine', []];
        }
        $fitted = array_filter($machines, fn (string $m): bool => $this->problem->canSeat($lesson, $m));
        if ($fitted === []) {
            return ['no-foot', []];
        }
        $running = $this->plan->lessons();
        if (! in_array($lesson, $running, true) && count($running) >= $this->problem->mostLessons) {
            return ['lessons', $running];
        }
        $kind = $this->problem->lessons[$lesson];
        $with = fn (callable $is): array => array_values(array_map(fn (Seat $s): string => $s->student, array_filter($this->plan->seats, $is)));
        if ($kind !== null) {
            $has = $with(fn (Seat $s): bool => $s->foot === $kind);
            if (count($has) >= array_sum(array_map(fn (FootStock $f): int => $f->kind === $kind && $f->only === null ? $f->count : 0, $this->problem->feet))) {
                return ['foot', $has];
            }
        }

        return ['machine', $with(fn (Seat $s): bool => in_array($s->machine, $fitted, true))];
    }

    /** What all together would lose if this student sewed this lesson; 0 where it costs nothing. */
    public static function cost(BenchProblem $problem, Seating $plan, string $student, string $lesson, ?Deadline $deadline = null): float
    {
        // Worth more than everything else together: it is sewn if it can be.
        $sure = 1.0 + array_sum(array_map(fn (array $w): float => max([0.0, ...array_values($w)]), $problem->wants));
        $wants = [$student => [$lesson => $sure + ($problem->wants[$student][$lesson] ?? 0.0)]] + $problem->wants;
        $held = BenchSolver::solve(new BenchProblem($wants, $problem->lessons, $problem->machines, $problem->feet, $problem->mostLessons, $problem->at, $problem->held), self::MOST_FLOWS, $deadline);

        return max(0.0, $plan->value - ($held->value - $sure));
    }
}
