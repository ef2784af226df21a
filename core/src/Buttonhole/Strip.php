<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/**
 * A strip to lay on the band, true to size: centre line, for each hole both
 * bars and the opening between them, the mark under the needle with the way it
 * goes, the room the foot needs; and its twin for the buttons. Along the strip
 * from its origin, across from its middle, mm.
 *
 * @phpstan-type Hole array{at_mm: float, from_mm: float, to_mm: float, cut_from_mm: float, cut_to_mm: float, start_mm: float, towards_mm: float}
 */
final readonly class Strip
{
    /** A hole across the band begins so far beyond the centre line, towards the edge: common practice, ours to start from. */
    public const BEYOND_CENTRE_MM = 3.0;

    /** The foot travels so far beyond the hole, on the side away from its start; ours to start from. */
    public const CLEAR_MM = 30.0;

    /** Beyond the last hole the strip goes on, so that it can be pinned. */
    private const ENDS_MM = 15.0;

    private const LEAST_WIDE_MM = 24.0;

    /**
     * @param  list<Hole>  $holes
     */
    private function __construct(
        public float $lengthMm,
        public float $widthMm,
        /** Where the origin of all measures lies on it. */
        public float $originMm,
        public bool $across,
        public float $diameterMm,
        public array $holes,
    ) {}

    /**
     * @param  list<float>  $positionsMm  centre of each hole along the band, from one origin
     * @param  string  $starts  front or back: front is the end nearer to who sews, on the strip its beginning; empty: unknown, no start is marked
     * @param  bool  $edgeOnTheRight  seen from outside, the origin at the top: the right band as worn, over the left one
     */
    public static function of(JobPlan $plan, float $diameterMm, array $positionsMm, string $starts, ?float $bandMm = null, bool $edgeOnTheRight = false): self
    {
        $across = $plan->direction === 'horizontal';
        $finished = $plan->size->finishedMm;
        $bar = $plan->size->barMm;
        sort($positionsMm);
        $first = $positionsMm[0] ?? 0.0;
        $last = $positionsMm === [] ? 0.0 : $positionsMm[count($positionsMm) - 1];
        $half = $across ? $diameterMm / 2 : $finished / 2;
        $origin = $half + self::ENDS_MM - $first;
        $holes = array_map(function (float $at) use ($across, $finished, $bar, $starts, $edgeOnTheRight): array {
            $sign = $across && $edgeOnTheRight ? -1 : 1;
            // Along the hole: for one across the band from the end that takes the pull, beyond the centre line.
            $from = $across ? -self::BEYOND_CENTRE_MM - $bar : -$finished / 2;
            $to = $from + $finished;
            $begin = $starts === 'back' ? $to : $from;

            return ['at_mm' => $at] + array_map(fn (float $mm): float => $sign * $mm, [
                'from_mm' => $from, 'to_mm' => $to, 'cut_from_mm' => $from + $bar, 'cut_to_mm' => $to - $bar,
                // Nobody has looked at which end it begins: no way is shown.
                'start_mm' => $begin, 'towards_mm' => match (true) {
                    $starts === '' => $begin, $begin === $to => $from, default => $to,
                },
            ]);
        }, $positionsMm);

        return new self($origin + $last + $half + self::ENDS_MM, max($bandMm ?? 0.0, self::LEAST_WIDE_MM, $diameterMm + 6, $across ? 2 * ($finished + self::BEYOND_CENTRE_MM) : 0.0), $origin, $across, $diameterMm, $holes);
    }
}
