<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** Stitch by stitch, from one hole of the needle to the next: which of a straight row are twice as long, and how even the others are. */
final readonly class SingleStitches
{
    /** At a hole so much less thread is seen than along a stitch. */
    private const DIP = 0.72;

    /** As a part of the usual length: an ordinary stitch, and one that was missed. */
    private const USUAL = 0.35;

    private const TWICE = [1.7, 2.35];

    /** Of the holes that should be there: where fewer are seen, single stitches are not told. */
    private const SEEN = 0.85;

    private const FEWEST = 8;

    /**
     * @param  list<float>  $skipped  where a stitch is twice as long, mm along the edge
     * @param  float  $uneven  standard deviation of the others, of their length
     */
    private function __construct(public array $skipped, public float $uneven) {}

    /** @param  float  $lengthMm  of a stitch, as it repeats; null answer: they cannot be told apart */
    public static function of(RowStrip $strip, RowTrace $trace, float $lengthMm): ?self
    {
        $first = ((int) array_key_first($trace->away)) * RowTrace::BAND;
        $last = ((int) array_key_last($trace->away) + 1) * RowTrace::BAND;
        $thread = [];
        for ($i = $first; $i < $last; $i++) {
            $j = (int) round($trace->at($i + 0.5));
            $thread[] = array_sum(array_slice($strip->thread[$i], max(0, $j - 1), 3)) / 3;
        }
        $step = $lengthMm / RowStrip::STEP_MM;
        $holes = self::holes(Signal::smoothed($thread, 1), $step);
        $apart = [];
        for ($k = 1; $k < count($holes); $k++) {
            $apart[] = [($holes[$k] - $holes[$k - 1]) / $step, ($holes[$k] + $holes[$k - 1]) / 2];
        }
        $usual = array_filter($apart, fn (array $a): bool => abs($a[0] - 1) <= self::USUAL);
        if (count($usual) < self::FEWEST || count($usual) < self::SEEN * count($apart) || count($holes) < self::SEEN * (count($thread) / $step - 1) - 3) {
            return null;
        }
        $skipped = array_values(array_filter($apart, fn (array $a): bool => $a[0] >= self::TWICE[0] && $a[0] <= self::TWICE[1]));
        $lengths = array_column($usual, 0);
        $mean = array_sum($lengths) / count($lengths);

        return new self(
            array_map(fn (array $a): float => $strip->start + ($first + $a[1] + 0.5) * RowStrip::STEP_MM, $skipped),
            sqrt(array_sum(array_map(fn (float $l): float => ($l - $mean) ** 2, $lengths)) / (count($lengths) - 1)),
        );
    }

    /**
     * @param  list<float>  $thread
     * @return list<float> places where there is least of it, and much less than about them
     */
    private static function holes(array $thread, float $step): array
    {
        $reach = max(3, (int) round(0.45 * $step));
        $holes = [];
        for ($i = $reach; $i < count($thread) - $reach; $i++) {
            $about = array_slice($thread, $i - $reach, 2 * $reach + 1);
            if ($thread[$i] > min([INF, ...$about]) || ($holes !== [] && $i - $holes[count($holes) - 1] < 0.5 * $step)) {
                continue;
            }
            $before = max([0.0, ...array_slice($thread, $i - $reach, $reach)]);
            $after = max([0.0, ...array_slice($thread, $i + 1, $reach)]);
            min($before, $after) > 0 && $thread[$i] < self::DIP * min($before, $after) && $holes[] = (float) $i;
        }

        return $holes;
    }
}
