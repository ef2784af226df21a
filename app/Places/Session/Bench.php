<?php

declare(strict_types=1);

namespace App\Places\Session;

use App\Models\BenchPlan as KeptBench;
use App\Records\ClassAsRead;
use App\Records\RoomInventory;
use App\Records\SessionInHand;
use OpenSeam\Core\Bench\BenchProblem;
use OpenSeam\Core\Bench\BenchTape;
use OpenSeam\Core\Bench\Seat;
use OpenSeam\Core\Bench\Seating;
use OpenSeam\Core\Course\SessionState;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\NextLesson\Kind;

/**
 * The bench of a session as it would be seated now.
 *
 * @phpstan-import-type Piece from \OpenSeam\Core\Course\SessionTape
 */
final readonly class Bench
{
    /** @param  list<Seating>  $rounds */
    public function __construct(
        public ClassAsRead $reading,
        public SessionInHand $inHand,
        public KeptBench $kept,
        public RoomInventory $room,
        public BenchProblem $problem,
        public array $rounds,
        /** What the first round would be worth if nobody were held. */
        public float $best,
        /** @var array<string, array<string, float>> what each lesson is worth to each student, first choice first */
        public array $wants,
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

    /**
     * The rounds on the tape: demos of what somebody sews for the first time, then sewing.
     *
     * @return list<Piece>
     */
    public function tape(Bundle $bundle): array
    {
        $minutes = $toShow = [];
        foreach (array_map(strval(...), array_keys($this->problem->lessons)) as $lesson) {
            $minutes[$lesson] = $bundle->lesson($lesson)->minutes;
        }
        foreach ($this->seats() as $student => [$seat]) {
            in_array($this->reading->students[$student]->advice->kindOf($seat->lesson), [Kind::GoOn, Kind::Enrich], true) && $toShow[$seat->lesson] = true;
        }
        $from = $this->inHand->state === SessionState::Running ? max(0.0, $this->inHand->session->beginsAt()->diffInSeconds($this->reading->now) / 60) : 0.0;

        return BenchTape::of($this->rounds, $minutes, $toShow, $this->reading->class->frame(), $from);
    }

    /** Held ones cost that much: in first choices. */
    public function cost(): float
    {
        return max(0.0, $this->best - ($this->rounds[0]->value ?? 0.0));
    }
}
