<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/** What lessons could still bring: three bounds on the value of a seating, each never under it. */
final readonly class BenchGains
{
    /**
     * @param  list<array<int, float>>  $values  what each lesson is worth to each student
     * @param  list<int>  $caps  students that a lesson can seat at most
     * @param  int  $places  machines that can sew something somebody wants
     */
    public function __construct(private array $values, private array $caps, private int $places) {}

    /**
     * What each lesson could add at most, largest first.
     *
     * @param  list<float>  $base
     * @param  list<int>  $rest
     * @return array<int, float>
     */
    public function of(array $base, array $rest): array
    {
        $gains = [];
        foreach ($rest as $l) {
            $each = [];
            foreach ($this->values as $s => $mine) {
                $more = ($mine[$l] ?? 0.0) - $base[$s];
                $more > 0 && $each[] = $more;
            }
            rsort($each);
            $gains[$l] = array_sum(array_slice($each, 0, $this->caps[$l]));
        }
        arsort($gains);

        return $gains;
    }

    /**
     * Another bound: each lesson filled with those who want it most.
     *
     * @param  list<int>  $chosen
     * @param  list<int>  $rest
     */
    public function byLesson(array $chosen, array $rest, int $left): float
    {
        $none = array_fill(0, count($this->values), 0.0);

        return array_sum($this->of($none, $chosen)) + array_sum(array_slice($this->of($none, $rest), 0, $left));
    }

    /**
     * A third: no more students than machines. The best of so many students over a set of lessons is a weighted
     * matroid rank, so here too what lessons add only shrinks.
     *
     * @param  list<float>  $base
     * @param  list<int>  $rest
     */
    public function byMachines(array $base, array $rest, int $left): float
    {
        if ($this->places >= count($this->values)) {
            return INF;
        }
        $now = $this->top($base);
        $more = [];
        foreach ($rest as $l) {
            $more[] = $this->top($this->with($base, $l)) - $now;
        }
        rsort($more);

        return $now + array_sum(array_slice($more, 0, $left));
    }

    /** @param  list<float>  $each */
    private function top(array $each): float
    {
        rsort($each);

        return array_sum(array_slice($each, 0, $this->places));
    }

    /**
     * @param  list<float>  $base
     * @return list<float>
     */
    public function with(array $base, int $lesson): array
    {
        return array_map(fn (float $b, array $mine): float => max($b, $mine[$lesson] ?? 0.0), $base, $this->values);
    }
}
