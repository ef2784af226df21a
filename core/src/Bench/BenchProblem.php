<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/** Who could sew what, on which machines, with which feet: the question of one session. */
final readonly class BenchProblem
{
    /**
     * @param  array<string, array<string, float>>  $wants  value of each candidate lesson by student, first choice first
     * @param  array<string, string|null>  $lessons  the kind of foot each needs; null: whatever is on
     * @param  array<string, list<string>>  $machines  lessons each can sew
     * @param  list<FootStock>  $feet
     * @param  int  $mostLessons  at once, 1 or more
     * @param  array<string, string>  $at  machine each student sat at before
     * @param  array<string, string>  $held  machine that a student must sit at, and nobody else
     */
    public function __construct(
        public array $wants,
        public array $lessons,
        public array $machines,
        public array $feet,
        public int $mostLessons,
        public array $at = [],
        public array $held = [],
    ) {}

    /** The machine can sew it, and a foot for it, if it needs one, fits. */
    public function canSeat(string $lesson, string $machine): bool
    {
        return in_array($lesson, $this->machines[$machine], true) && ($this->lessons[$lesson] === null || $this->stocks($lesson, $machine) !== []);
    }

    /** @return list<int> stocks that give a foot for this lesson on this machine */
    public function stocks(string $lesson, string $machine): array
    {
        return array_keys(array_filter($this->feet, fn (FootStock $f): bool => $f->kind === $this->lessons[$lesson] && $f->serves($lesson) && $f->count > 0 && in_array($machine, $f->fits, true)));
    }
}
