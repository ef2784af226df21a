<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/** Machines handed out when lessons and feet are settled: whoever can stays where they sat. */
final readonly class SeatMachines
{
    /** @param  list<list<string>>  $groups  machines that can do the same */
    public function __construct(private BenchProblem $problem, private array $groups) {}

    /**
     * @param  list<array{string, string, int|null, int}>  $seated  student, lesson, stock, group
     * @return array<string, Seat> by student, in the order they were given
     */
    public function assign(array $seated): array
    {
        $free = $this->groups;
        $seats = [];
        // Those whose own machine is in their group take it first.
        usort($seated, fn (array $a, array $b): int => (int) $this->isHome($b) <=> (int) $this->isHome($a));
        foreach ($seated as $s) {
            [$student, $lesson, $stock, $group] = $s;
            $own = $this->problem->at[$student] ?? '';
            $machine = in_array($own, $free[$group], true) ? $own : (string) reset($free[$group]);
            $free[$group] = array_values(array_diff($free[$group], [$machine]));
            $seats[$student] = new Seat($student, $lesson, $machine, $stock === null ? null : $this->problem->feet[$stock]->given(), $stock);
        }
        $seats = $this->trade($seats, array_merge([], ...$free));

        return array_filter(array_replace(array_fill_keys(array_keys($this->problem->wants), null), $seats));
    }

    /** @param  array{string, string, int|null, int}  $seated */
    private function isHome(array $seated): bool
    {
        return in_array($this->problem->at[$seated[0]] ?? '', $this->groups[$seated[3]], true);
    }

    /**
     * Whoever could go back to their own machine does, by trading places or by
     * taking it where it is free, as long as no one else leaves theirs for it.
     *
     * @param  array<string, Seat>  $seats
     * @param  list<string>  $free
     * @return array<string, Seat>
     */
    private function trade(array $seats, array $free): array
    {
        do {
            $traded = false;
            foreach (array_keys($seats) as $student) {
                $seat = $seats[$student];
                $own = $this->problem->at[$student] ?? null;
                if ($own === null || $own === $seat->machine || ! isset($this->problem->machines[$own]) || isset($this->problem->held[$student]) || in_array($own, $this->problem->held, true)) {
                    continue;
                }
                $there = array_values(array_filter($seats, fn (Seat $s): bool => $s->machine === $own))[0] ?? null;
                $mine = $this->moved($seat, $own, $seats, $there);
                if ($there === null ? ! in_array($own, $free, true) : ($this->problem->at[$there->student] ?? null) === $own || isset($this->problem->held[$there->student])) {
                    continue;
                }
                $theirs = $there === null || $mine === null ? null : $this->moved($there, $seat->machine, [$student => $mine] + $seats, null);
                if ($mine === null || ($there !== null && $theirs === null)) {
                    continue;
                }
                $free = $there === null ? [...array_values(array_diff($free, [$own])), $seat->machine] : $free;
                $seats[$student] = $mine;
                $theirs === null || $seats[$theirs->student] = $theirs;
                $traded = true;
            }
        } while ($traded);

        return $seats;
    }

    /**
     * The same lesson at another machine, with a foot that is left for it.
     *
     * @param  array<string, Seat>  $seats
     */
    private function moved(Seat $seat, string $machine, array $seats, ?Seat $gone): ?Seat
    {
        if (! $this->problem->canSeat($seat->lesson, $machine)) {
            return null;
        }
        if ($this->problem->lessons[$seat->lesson] === null) {
            return new Seat($seat->student, $seat->lesson, $machine, null);
        }
        foreach ($this->problem->stocks($seat->lesson, $machine) as $stock) {
            $used = count(array_filter($seats, fn (Seat $s): bool => $s->stock === $stock && $s->student !== $seat->student && $s->student !== $gone?->student));
            if ($used < $this->problem->feet[$stock]->count) {
                return new Seat($seat->student, $seat->lesson, $machine, $this->problem->feet[$stock]->given(), $stock);
            }
        }

        return null;
    }
}
