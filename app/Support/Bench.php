<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\BenchPlan as KeptBench;
use OpenSeam\Core\Bench\BenchPlan;
use OpenSeam\Core\Bench\BenchProblem;
use OpenSeam\Core\Bench\Seat;
use OpenSeam\Core\NextLesson\Kind;

/** The bench of a session as it would be seated now. */
final readonly class Bench
{
    /** @param  list<BenchPlan>  $rounds */
    public function __construct(
        public ClassReading $reading,
        public SessionInHand $inHand,
        public KeptBench $kept,
        public RoomBook $room,
        public BenchProblem $problem,
        public array $rounds,
        /** What the first round would be worth if nobody were held. */
        public float $best,
    ) {}

    /** @return array<string, array{Seat, int}> seat and round, from 1, by student */
    public function seats(): array
    {
        $seats = [];
        foreach ($this->rounds as $i => $plan) {
            foreach ($plan->seats as $student => $seat) {
                $seats[(string) $student] = [$seat, $i + 1];
            }
        }

        return $seats;
    }

    /** What sort of next lesson it is for a student. */
    public function kindOf(string $student, string $lesson): Kind
    {
        foreach ($this->reading->students[$student]->advice->candidates as $candidate) {
            if ($candidate->lesson === $lesson && $candidate->drill === null) {
                return $candidate->kind;
            }
        }

        return Kind::GoOn;
    }

    /** Held ones cost that much: in first choices. */
    public function cost(): float
    {
        return max(0.0, $this->best - ($this->rounds[0]->value ?? 0.0));
    }
}
