<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** The way of the top thread over the machine, station by station, in the measures of the line art; common practice, no source. */
final readonly class ThreadWay
{
    /** Spool, first guide, tension, take-up, last guide, needle. */
    public const STATIONS = 6;

    /**
     * @param  list<array{x: float, y: float, beside: float}>  $stations  beside: where its number stands, to the right of it
     * @param  list<list<array{float, float}>>  $before  the thread's turns on the way to each of them
     * @param  array{float, float}  $tail  where it hangs after the needle
     */
    private function __construct(public array $stations, private array $before, public array $tail) {}

    public static function on(MachineLook $look): self
    {
        // Discs on the end of the head stand further down, and their thread comes round it; the needle is threaded from there.
        $tension = $look->sideThreading ? ['x' => 22.0, 'y' => 112.0, 'beside' => 56.0] : ['x' => 92.0, 'y' => 108.0, 'beside' => 28.0];

        return new self([
            ['x' => 300.0, 'y' => 14.0, 'beside' => -24.0], ['x' => 177.0, 'y' => 40.0, 'beside' => -24.0], $tension,
            ['x' => 47.0, 'y' => 77.0, 'beside' => $look->sideThreading ? 26.0 : -24.0], ['x' => 73.0, 'y' => 200.0, 'beside' => -24.0], ['x' => 73.0, 'y' => 234.0, 'beside' => $look->sideThreading ? 30.0 : -24.0],
        ], $look->sideThreading
            ? [[], [], [[114.0, 42.0], [34.0, 50.0], [22.0, 96.0]], [[22.0, 126.0], [40.0, 118.0]], [[50.0, 140.0], [58.0, 150.0], [58.0, 186.0]], [[62.0, 216.0], [62.0, 234.0]]]
            : [[], [], [[114.0, 42.0], [106.0, 92.0]], [[70.0, 150.0], [58.0, 140.0]], [[58.0, 140.0], [73.0, 170.0]], []],
            $look->sideThreading ? [100.0, 240.0] : [60.0, 252.0]);
    }

    /** @return list<array{float, float}> the thread from the spool to a station */
    public function upTo(int $station): array
    {
        $way = [];
        foreach (array_slice($this->stations, 0, $station) as $i => $at) {
            $way = [...$way, ...$this->before[$i], [$at['x'], $at['y']]];
        }

        return $station === self::STATIONS ? [...$way, $this->tail] : $way;
    }
}
