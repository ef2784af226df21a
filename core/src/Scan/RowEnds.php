<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;

/** Where a straight row begins and ends along its edge: where half as much thread is seen as further in, and stays. */
final class RowEnds
{
    /** On both sides of it, mm. */
    private const REACH_MM = 3.0;

    /** Its thread is smoothed over the holes of the needle, steps on both sides. */
    private const HOLES = 7;

    /** So much of the row goes on after its beginning, steps. */
    private const ON = 40;

    private const HALF = 0.5;

    private const STAYS = 0.3;

    /** A first stitch dips in, a tail is cut: known no better than that, mm. */
    private const UNSURE_MM = 0.3;

    /** Nearer to the corner it may be its tail that lies there, mm. */
    private const TAIL_MM = 1.2;

    /**
     * @param  float  $about  from its edge, mm
     * @return array{Reading|null, Reading|null} from the beginning of the edge to where it begins, and from where it ends to the end of the edge, mm; null where its tail may lie
     */
    public static function of(FoundPiece $piece, string $side, float $about): array
    {
        $strip = RowStrip::of($piece, $side, $about, self::REACH_MM, true);
        $trace = $strip === null ? null : RowTrace::find($strip, ($about - $strip->from) / RowStrip::STEP_MM);
        if ($strip === null || ! $trace instanceof RowTrace) {
            return [null, null];
        }
        $thread = [];
        foreach ($strip->thread as $i => $across) {
            $j = (int) round($trace->at($i + 0.5));
            $thread[] = array_sum(array_slice($across, max(0, $j - 2), 5)) / 5;
        }
        $thread = Signal::smoothed($thread, self::HOLES);
        $sorted = $thread;
        sort($sorted);
        $level = $sorted[intdiv(count($sorted), 2)];
        $first = self::first($thread, $level);
        $last = self::first(array_reverse($thread), $level);
        $reading = fn (?float $steps): ?Reading => $steps === null || $steps * RowStrip::STEP_MM < self::TAIL_MM ? null
            : Reading::combined($steps * RowStrip::STEP_MM, self::UNSURE_MM, $piece->mm / sqrt(12), $piece->picture->placeU());

        return [$reading($first), $reading($last)];
    }

    /** @param  list<float>  $thread */
    private static function first(array $thread, float $level): ?float
    {
        foreach ($thread as $i => $here) {
            if ($here >= self::HALF * $level && $i + self::ON < count($thread) && min([INF, ...array_slice($thread, $i, self::ON)]) >= self::STAYS * $level) {
                $before = $thread[$i - 1] ?? $here;

                return $i + 0.5 - ($here > $before ? ($here - self::HALF * $level) / ($here - $before) : 0.0);
            }
        }

        return null;
    }
}
