<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Measure\Reading;

/**
 * Thread that lies so close that no single stitch is told apart: satin, and the sides of a buttonhole. How wide it is, how
 * long, and what lies open between, each where half as much thread is seen as in its middle.
 */
final readonly class DenseBand
{
    /** A mark is read over so much of the row on both sides, mm. */
    private const MARK_MM = 3.0;

    /** What stands out less than that, in deviations of the cloth beside it, is no thread. */
    private const STANDS_OUT = 5.0;

    /** Narrower or wider than that it is something else, mm. */
    private const NARROWEST_MM = 0.8;

    private const WIDEST_MM = 12.0;

    /** Where a seen edge of thread is, for all its gloss and fluff, mm. */
    private const EDGE_MM = 0.05;

    /** Between the stitches so much of the thread is seen as on them: from here on it is closed, and up to here cloth shows; between the two nobody can tell. */
    private const CLOSED = 0.72;

    private const OPEN = 0.45;

    /** Looked at in lanes so wide, mm: wider ones take a stitch and its neighbour for one. */
    private const LANE_MM = 0.4;

    /** A bar is at least so long, mm, and covers so much of the whole width. */
    private const BAR_MM = 0.9;

    private const COVERS = 0.85;

    /** One that covers no more than so much lies over one side only. */
    private const ONE_SIDE = 0.6;

    /** Along a side a stitch may be missing, mm. */
    private const OPEN_MM = 1.2;

    /** Points of a side are so far apart at least and at most, mm: 30 to 7 in 10 mm. */
    private const CLOSEST_MM = 0.33;

    private const WIDEST_APART_MM = 1.4;

    /** A picture does not tell them where a pixel is more than that, nor where they are less than so many pixels apart. */
    private const COARSEST_MM = 0.115;

    private const PIXELS = 3.2;

    /** They are looked for so far inside each flank of a side, mm, in a lane as wide as two of those; both must agree to so much. */
    private const INSIDE_MM = 0.25;

    private const AGREE = 0.06;

    private const NEVER_APART = 1.6;

    /** What changes more slowly is not a stitch, mm. */
    private const SLOW_MM = 1.5;

    /** The middle of a buttonhole or a bar of satin is looked at piece by piece, mm. */
    private const SLICE_MM = 1.0;

    private const FEWEST_SLICES = 5;

    private function __construct(private FoundPiece $piece, private string $side, private RowStrip $strip) {}

    /** @param  array{float, float}  $between  along, mm */
    public static function in(FoundPiece $piece, string $side, float $about, float $reach, array $between): ?self
    {
        $strip = RowStrip::of($piece, $side, $about, $reach, false, $between);

        return $strip === null ? null : new self($piece, $side, $strip);
    }

    /** @param  float  $at  along, mm */
    public function widthAt(float $at): ?Reading
    {
        $first = (int) round(($at - self::MARK_MM - $this->strip->start) / RowStrip::STEP_MM);
        $last = (int) round(($at + self::MARK_MM - $this->strip->start) / RowStrip::STEP_MM);
        $parts = [];
        // Three parts of it: how far they differ says how sure the whole is.
        foreach ([0, 1, 2] as $k) {
            $from = $first + (int) (($last - $first) * $k / 3);
            $found = self::bands($this->across($from, $from + intdiv($last - $first, 3)));
            count($found) === 1 && $parts[] = ($found[0][1] - $found[0][0]) * RowStrip::STEP_MM;
        }
        if (count($parts) < 3) {
            return null;
        }
        $width = array_sum($parts) / 3;
        $spread = max($parts) - min($parts);

        return $width < self::NARROWEST_MM || $width > self::WIDEST_MM || $spread > 0.3 * $width ? null
            : Reading::combined($width, $spread / 3, self::EDGE_MM * sqrt(2), $this->piece->mm / sqrt(6), $this->piece->picture->scaleU() * $width);
    }

    /**
     * The two sides of a buttonhole, from the one nearer to the edge it is seen from: how long each is over both bars, and
     * what is open between them.
     *
     * @return array{Reading, Reading, Reading}|null
     */
    public function hole(): ?array
    {
        $found = $this->sides();
        if ($found === null) {
            return null;
        }
        $sides = $found[1];
        $long = [];
        foreach ($sides as [$left, $right]) {
            $side = self::span(self::bands($this->along((int) ceil($left), (int) floor($right))));
            if ($side === null) {
                return null;
            }
            $long[] = ($side[1] - $side[0]) * RowStrip::STEP_MM;
        }
        $gap = ($sides[1][0] - $sides[0][1]) * RowStrip::STEP_MM;
        $u = fn (float $of): Reading => Reading::combined($of, self::EDGE_MM * sqrt(2), $this->piece->mm / sqrt(6), $this->piece->picture->scaleU() * $of);
        // A gap that is not much wider than a pixel is blurred away in part.
        $gapU = Reading::combined($gap, self::EDGE_MM * 2, $this->piece->mm / 2, $this->piece->picture->scaleU() * $gap);

        return [$u($long[0]), $u($long[1]), $gapU];
    }

    /** Whether no cloth is seen between the stitches of satin; null: it cannot be told. */
    public function isClosed(): ?bool
    {
        $whole = $this->whole();
        $side = $whole === null ? [] : self::bands($this->across((int) $whole[0], (int) $whole[1]));

        return $whole === null || count($side) !== 1 ? null : $this->closed($side[0], $whole);
    }

    /** Whether none is seen between those of both sides of a buttonhole; null: it cannot be told. */
    public function areSidesClosed(): ?bool
    {
        $found = $this->sides();
        if ($found === null) {
            return null;
        }
        $each = array_map(fn (array $side): ?bool => $this->closed($side, $found[0]), $found[1]);

        return in_array(null, $each, true) ? null : ! in_array(false, $each, true);
    }

    /** Whether thread lies over both sides at both ends of a buttonhole; null: it cannot be told. */
    public function doBarsSpan(): ?bool
    {
        $found = $this->sides();
        if ($found === null) {
            return null;
        }
        [$whole, $sides] = $found;
        $wide = $sides[1][1] - $sides[0][0];
        $bar = (int) (self::BAR_MM / RowStrip::STEP_MM);
        $span = [];
        foreach ([(int) $whole[0] + 1, (int) $whole[1] - $bar] as $from) {
            $bands = self::bands($this->across($from, $from + $bar - 1));
            $covered = count($bands) === 1 ? ($bands[0][1] - $bands[0][0]) / $wide : null;
            $span[] = match (true) {
                $covered !== null && $covered >= self::COVERS => true,
                count($bands) === 2, $covered !== null && $covered <= self::ONE_SIDE => false,
                default => null,
            };
        }

        return in_array(false, $span, true) ? false : (in_array(null, $span, true) ? null : true);
    }

    /**
     * How far its middle is from the edge it is seen from, on a line through all of it: beyond its ends as at them.
     *
     * @param  float  $at  along, mm
     */
    public function middleAt(float $at): ?Reading
    {
        $whole = $this->whole();
        if ($whole === null) {
            return null;
        }
        $slice = (int) (self::SLICE_MM / RowStrip::STEP_MM);
        [$along, $middle] = [[], []];
        for ($i = (int) ceil($whole[0]) + 1; $i + $slice < $whole[1]; $i += $slice) {
            $bands = self::bands($this->across($i, $i + $slice - 1));
            $bands === [] || [$along[], $middle[]] = [$i + ($slice - 1) / 2, ($bands[0][0] + $bands[count($bands) - 1][1]) / 2];
        }
        $n = count($along);
        if ($n < self::FEWEST_SLICES) {
            return null;
        }
        $line = LeastSquares::fit($along, $middle);
        $i = max($whole[0], min($whole[1], ($at - $this->strip->start) / RowStrip::STEP_MM));
        $mean = array_sum($along) / $n;
        $apart = array_sum(array_map(fn (float $a): float => ($a - $mean) ** 2, $along));
        // Of the line at that place (its usual prediction).
        $ofLine = $line->residualSd * sqrt(1 / $n + ($i - $mean) ** 2 / $apart) * RowStrip::STEP_MM;
        [$bend, $unsure] = $this->piece->bendAt($this->side, $this->strip->start + $i * RowStrip::STEP_MM);
        $away = $this->strip->from + $line->at($i) * RowStrip::STEP_MM - $bend;

        return Reading::combined($away, self::EDGE_MM, $ofLine, $this->piece->mm / sqrt(12), $unsure, $this->piece->picture->placeU(), $this->piece->picture->scaleU() * $away);
    }

    /** Where its thread begins along the edge, mm from its beginning. */
    public function beginsAt(): ?Reading
    {
        $whole = $this->whole();

        return $whole === null ? null : Reading::combined($this->strip->start + ($whole[0] + 0.5) * RowStrip::STEP_MM, self::EDGE_MM, $this->piece->mm / sqrt(6), $this->piece->picture->placeU());
    }

    /**
     * Points on the outer flank of each side of a buttonhole, in 10 mm, from the side nearer to the edge it is seen from.
     *
     * @return array{int|null, int|null}
     */
    public function points(): array
    {
        $found = $this->piece->mm > self::COARSEST_MM ? null : $this->sides();
        if ($found === null) {
            return [null, null];
        }
        [[$begins, $ends], [$one, $other]] = $found;
        // Without the bars, where other stitches lie.
        $bars = 2 * self::BAR_MM / RowStrip::STEP_MM;
        $between = [(int) ($begins + $bars), (int) ($ends - $bars)];

        $points = [$this->pointsOf($one, $between), $this->pointsOf($other, $between)];

        // No machine’s sides differ so much: of one of them every second point was seen.
        return $points[0] !== null && $points[1] !== null && max($points) > self::NEVER_APART * min($points) ? [null, null] : $points;
    }

    /**
     * @param  array{float, float}  $side  across
     * @param  array{int, int}  $between  along
     */
    private function pointsOf(array $side, array $between): ?int
    {
        $in = self::INSIDE_MM / RowStrip::STEP_MM;
        $apart = [];
        foreach ([$side[0] + $in, $side[1] - $in] as $flank) {
            $lane = array_slice($this->along((int) round($flank - $in), (int) round($flank + $in), 1), $between[0], max(0, $between[1] - $between[0]));
            $rest = array_map(fn (float $s, float $slow): float => $s - $slow, $lane, Signal::smoothed($lane, (int) (self::SLOW_MM / RowStrip::STEP_MM)));
            $apart[] = Repeats::find($rest, (int) (self::CLOSEST_MM / RowStrip::STEP_MM), (int) (self::WIDEST_APART_MM / RowStrip::STEP_MM))[0] ?? null;
        }
        [$a, $b] = $apart;
        $mm = $a === null || $b === null || abs($a - $b) > self::AGREE * $a ? 0.0 : ($a + $b) / 2 * RowStrip::STEP_MM;

        return $mm < self::PIXELS * $this->piece->mm || $mm < self::CLOSEST_MM ? null : (int) round(10.0 / $mm);
    }

    /** @return array{float, float}|null from its first thread along to its last */
    private function whole(): ?array
    {
        return self::span(self::bands($this->along(0, count($this->strip->thread[0]) - 1)));
    }

    /**
     * A buttonhole from end to end, and its two sides between the bars, which lie over both.
     *
     * @return array{array{float, float}, array{array{float, float}, array{float, float}}}|null
     */
    private function sides(): ?array
    {
        $whole = $this->whole();
        if ($whole === null) {
            return null;
        }
        $quarter = ($whole[1] - $whole[0]) / 4;
        $sides = self::bands($this->across((int) ($whole[0] + $quarter), (int) ($whole[1] - $quarter)));

        return count($sides) === 2 ? [$whole, [$sides[0], $sides[1]]] : null;
    }

    /**
     * By how little thread is seen where least of it is, lane by lane through its middle half.
     *
     * @param  array{float, float}  $side  across
     * @param  array{float, float}  $whole  along
     */
    private function closed(array $side, array $whole): ?bool
    {
        $cloth = $this->across((int) $whole[0], (int) $whole[1]);
        sort($cloth);
        $cloth = $cloth[intdiv(count($cloth), 10)];
        [$quarter, $lane, $ends] = [($side[1] - $side[0]) / 4, (int) (self::LANE_MM / RowStrip::STEP_MM), ($whole[1] - $whole[0]) / 4];
        $least = [];
        for ($j = (int) ceil($side[0] + $quarter); $j + $lane <= $side[1] - $quarter + 1; $j += $lane) {
            $along = array_slice(array_map(fn (array $row): float => array_sum(array_slice($row, $j, $lane)) / $lane, $this->strip->thread), (int) ($whole[0] + $ends), (int) ($whole[1] - $whole[0] - 2 * $ends));
            sort($along);
            $n = count($along);
            $least[] = (($along[intdiv($n, 10)] ?? 0.0) - $cloth) / max(1e-9, ($along[intdiv(9 * $n, 10)] ?? 0.0) - $cloth);
        }
        sort($least);
        $middle = $least[intdiv(count($least), 2)] ?? null;

        return match (true) {
            $middle !== null && $middle >= self::CLOSED => true,
            $middle !== null && $middle <= self::OPEN => false,
            default => null,
        };
    }

    /**
     * From the first to the last, where no more than a stitch or two lies open between.
     *
     * @param  list<array{float, float}>  $bands
     * @return array{float, float}|null
     */
    private static function span(array $bands): ?array
    {
        foreach ($bands as $i => [$begins]) {
            if ($i > 0 && ($begins - $bands[$i - 1][1]) * RowStrip::STEP_MM > self::OPEN_MM) {
                return null;
            }
        }

        return $bands === [] ? null : [$bands[0][0], $bands[count($bands) - 1][1]];
    }

    /** @return list<float> thread across, the mean of so much along */
    private function across(int $from, int $to): array
    {
        $from = max(0, $from);
        $rows = array_slice($this->strip->thread, $from, max(1, min($to, count($this->strip->thread) - 1) - $from + 1));
        $sum = array_fill(0, count($this->strip->thread[0]), 0.0);
        foreach ($rows as $row) {
            foreach ($row as $j => $s) {
                $sum[$j] += $s;
            }
        }

        return array_map(fn (float $s): float => $s / max(1, count($rows)), array_values($sum));
    }

    /** @return list<float> thread along, the mean of so much across */
    private function along(int $from, int $to, int $smooth = 2): array
    {
        return Signal::smoothed(array_map(fn (array $row): float => array_sum(array_slice($row, max(0, $from), max(1, $to - $from + 1))) / max(1, $to - $from + 1), $this->strip->thread), $smooth);
    }

    /**
     * Where there is at least half as much thread as where there is most: from and to, each between two steps.
     *
     * @param  list<float>  $thread
     * @return list<array{float, float}>
     */
    private static function bands(array $thread): array
    {
        $sorted = $thread;
        sort($sorted);
        $n = count($sorted);
        // Cloth is the lowest part of it, however little of it there is; thread the upper one.
        $cloth = $sorted[intdiv($n, 14)] ?? 0.0;
        $most = $sorted[max(0, $n - 1 - intdiv($n, 20))] ?? 0.0;
        $low = array_slice($sorted, 0, max(3, intdiv($n, 10)));
        $spread = ($low[count($low) - 1] - $low[0]) / 2;
        if ($most - $cloth < max(6.0, self::STANDS_OUT * $spread)) {
            return [];
        }
        $half = $cloth + ($most - $cloth) / 2;
        $bands = [];
        $begins = null;
        for ($i = 1; $i < $n; $i++) {
            [$a, $b] = [$thread[$i - 1], $thread[$i]];
            if ($a < $half && $b >= $half) {
                $begins = $i - 1 + ($half - $a) / ($b - $a);
            } elseif ($a >= $half && $b < $half && $begins !== null) {
                $bands[] = [$begins, $i - 1 + ($a - $half) / ($a - $b)];
                $begins = null;
            }
        }

        // One that reaches the end is not all there.
        return $begins !== null || $thread[0] >= $half ? [] : array_values(array_filter($bands, fn (array $b): bool => $b[1] - $b[0] >= 3.0));
    }
}
