<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/** A bench problem in numbers, as the search and its flows need it: students, lessons, stocks of feet and groups of machines count from 0. */
final class BenchNumbers
{
    /** Of the largest value: what a first choice is worth more than a second, where nothing else tells two plans apart. */
    private const RANK = 1e-7;

    /** @var list<string> */
    public array $students;

    /** @var list<string> */
    public array $lessons = [];

    /** @var list<array<int, float>> what each lesson is worth to each student */
    public array $values = [];

    /** @var list<array<int, float>> the same for the flow: whoever is held to a machine has lessons of their own there */
    public array $inFlow = [];

    /** @var array<int, list<int>> those, by the lesson they are */
    public array $own = [];

    /** @var array<int, int> and the other way round */
    public array $is = [];

    /** @var array<int, list<int>> */
    public array $stocksOf = [];

    /** @var list<int> feet in each stock */
    public array $counts;

    /** @var array<string, array<int, true>> */
    public array $suits = [];

    /** @var list<list<string>> machines by group */
    public array $groups = [];

    /** @var list<int> students that a lesson can seat at most */
    public array $caps = [];

    /** Machines that can sew something somebody wants. */
    public int $places = 0;

    public function __construct(private readonly BenchProblem $problem)
    {
        $this->students = array_map(strval(...), array_keys($problem->wants));
        $this->counts = array_map(fn (FootStock $f): int => $f->count, $problem->feet);
        $this->prepareLessons();
        $scale = max([1.0, ...array_map(fn (array $w): float => max([0.0, ...array_values($w)]), $problem->wants)]);
        $number = array_flip($this->lessons);
        foreach ($this->students as $id) {
            $mine = [];
            foreach (array_keys($problem->wants[$id]) as $rank => $lesson) {
                // Where nothing else tells two plans apart, the one with more first choices.
                isset($number[$lesson]) && $problem->wants[$id][$lesson] >= 0 && $mine[$number[$lesson]] = $problem->wants[$id][$lesson] + self::RANK * $scale / ($rank + 1);
            }
            $this->values[] = $mine;
        }
        $this->holdSome();
        $this->prepareGroups();
    }

    /** Lessons that somebody wants and that can be sewn at all. */
    private function prepareLessons(): void
    {
        foreach ($this->problem->lessons as $id => $kind) {
            $wanted = array_filter($this->problem->wants, fn (array $w): bool => ($w[$id] ?? -1.0) >= 0);
            $machines = array_filter(array_keys($this->problem->machines), fn (string|int $m): bool => $this->problem->canSeat((string) $id, (string) $m));
            if ($wanted === [] || $machines === []) {
                continue;
            }
            $stocks = $kind === null ? [-1] : array_values(array_filter(array_keys($this->problem->feet), fn (int $f): bool => $this->problem->feet[$f]->kind === $kind && $this->problem->feet[$f]->serves((string) $id) && $this->counts[$f] > 0));
            $this->lessons[] = (string) $id;
            $this->stocksOf[] = $stocks;
            $this->caps[] = min(count($machines), count($wanted), $kind === null ? PHP_INT_MAX : array_sum(array_map(fn (int $f): int => $this->counts[$f] ?? 0, $stocks)));
        }
    }

    /** Whoever is held to a machine gets each lesson as one of their own, which is only sewn there. */
    private function holdSome(): void
    {
        $this->inFlow = $this->values;
        $next = count($this->lessons);
        foreach ($this->students as $s => $id) {
            if (! isset($this->problem->held[$id])) {
                continue;
            }
            $this->inFlow[$s] = [];
            foreach ($this->values[$s] as $l => $value) {
                $this->inFlow[$s][$next] = $value;
                $this->own[$l][] = $next;
                $this->is[$next] = $l;
                $this->stocksOf[$next++] = $this->stocksOf[$l];
            }
        }
    }

    /** Machines that can do the same with the same feet are one group. */
    private function prepareGroups(): void
    {
        $byWhat = [];
        $holder = array_flip($this->problem->held);
        $number = array_flip($this->students);
        foreach (array_map(strval(...), array_keys($this->problem->machines)) as $machine) {
            $what = [];
            $student = isset($holder[$machine]) ? $number[$holder[$machine]] ?? null : null;
            // A machine that is held sews what its student does, and nothing else.
            $sewn = $student === null ? array_keys($this->lessons) : array_keys($this->inFlow[$student]);
            foreach ($sewn as $l) {
                if (! in_array($this->lessons[$this->is[$l] ?? $l], $this->problem->machines[$machine], true)) {
                    continue;
                }
                foreach ($this->stocksOf[$l] as $f) {
                    if ($f < 0 || in_array($machine, $this->problem->feet[$f]->fits, true)) {
                        $what[] = "$l:$f";
                    }
                }
            }
            $what === [] || $byWhat[implode(' ', $what)][] = $machine;
        }
        foreach ($byWhat as $what => $machines) {
            foreach (explode(' ', (string) $what) as $pair) {
                $this->suits[$pair][count($this->groups)] = true;
            }
            $this->groups[] = $machines;
        }
        $this->places = array_sum(array_map(count(...), $this->groups));
    }
}
