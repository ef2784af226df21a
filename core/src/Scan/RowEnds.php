<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;

/**
 * Where a straight row begins and ends along its edge, and how many stitches were sewn back there. It begins where half as
 * much thread is seen as further in, and stays; over stitches that were sewn back and forth more of it is seen.
 */
final readonly class RowEnds
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

    /** Threads sewn over each other lie beside each other: so far on both sides of the row, steps. */
    private const BESIDE = 5;

    /** So much more thread than elsewhere is no chance: as a part of it, and beyond nearly all that its middle shows. */
    private const MORE = 1.14;

    private const BEYOND = 0.06;

    private const NEARLY_ALL = 0.95;

    /** More than so many sewn back at one end is a tail that lies along the row, or a snarl. */
    private const MOST_BACK = 6;

    /** Where it is seen again within so many stitches, it had not ended. */
    private const SOON = 2.0;

    /** The thread that turns there lies a little beyond the last hole, of a stitch. */
    private const OVER = 0.12;

    /** Beside a whole number of stitches by so much: which one it is cannot be told. */
    private const BETWEEN = 0.3;

    /**
     * @param  list<float>  $thread  along the row
     * @param  list<float>  $all  also what lies a little beside it
     */
    private function __construct(private FoundPiece $piece, private array $thread, private array $all) {}

    /** @param  float  $about  from its edge, mm */
    public static function in(FoundPiece $piece, string $side, float $about): ?self
    {
        $strip = RowStrip::of($piece, $side, $about, self::REACH_MM, true);
        $trace = $strip === null ? null : RowTrace::find($strip, ($about - $strip->from) / RowStrip::STEP_MM);
        if ($strip === null || ! $trace instanceof RowTrace) {
            return null;
        }
        $thread = $all = [];
        foreach ($strip->thread as $i => $across) {
            $j = (int) round($trace->at($i + 0.5));
            $thread[] = array_sum(array_slice($across, max(0, $j - 2), 5)) / 5;
            $all[] = array_sum(array_map(fn (float $s): float => max(0.0, $s), array_slice($across, max(0, $j - self::BESIDE), 2 * self::BESIDE + 1)));
        }

        return new self($piece, Signal::smoothed($thread, self::HOLES), $all);
    }

    /**
     * From the beginning of the edge to where it begins, or from where it ends to the end of the edge.
     *
     * @return Reading|null mm; null where its tail may lie
     */
    public function free(bool $atEnd): ?Reading
    {
        $steps = self::first($atEnd ? array_reverse($this->thread) : $this->thread);

        return $steps === null || $steps * RowStrip::STEP_MM < self::TAIL_MM ? null
            : Reading::combined($steps * RowStrip::STEP_MM, self::UNSURE_MM, $this->piece->mm / sqrt(12), $this->piece->picture->placeU());
    }

    /**
     * Stitches sewn back over the first or the last ones. That there are none is never told: they may lie in one another’s holes.
     *
     * @param  float  $lengthMm  of a stitch
     */
    public function back(bool $atEnd, float $lengthMm): ?int
    {
        $begins = self::first($atEnd ? array_reverse($this->thread) : $this->thread);
        $each = $lengthMm / RowStrip::STEP_MM;
        $dense = Signal::smoothed($atEnd ? array_reverse($this->all) : $this->all, (int) round($each / 2));
        // The middle of the row is sewn once.
        $once = array_slice($dense, intdiv(count($dense), 4), intdiv(count($dense), 2));
        sort($once);
        $level = $once[intdiv(count($once), 2)] ?? 0.0;
        // A tail that lies on to the edge of the cloth hides where they begin.
        if ($begins === null || $begins * RowStrip::STEP_MM < self::TAIL_MM || $level <= 0.0) {
            return null;
        }
        $least = $level * max(self::MORE, $once[(int) (self::NEARLY_ALL * count($once))] / $level + self::BEYOND);
        $from = (int) round($begins + $each / 2);
        // The thread of the first stitch may be slack.
        for ($slack = 0; $slack < $each && ($dense[$from] ?? 0.0) < $least; $slack++, $from++);
        for ($to = $from; isset($dense[$to]) && $dense[$to] >= $least; $to++);
        $over = array_slice($dense, $from, $to - $from);
        if ($over === [] || $to + $each >= count($dense)) {
            return null;
        }
        // Where it comes back soon it was only seen less for a moment.
        if (max([0.0, ...array_slice($dense, $to + (int) ($each / 2), (int) (self::SOON * $each))]) >= max($least, (float) end($once))) {
            return null;
        }
        // It begins where half of that is seen, and ends where half of what it is more is left.
        sort($over);
        $most = $over[intdiv(count($over), 2)];
        for ($starts = $from; $starts > 0 && $dense[$starts] > $most / 2; $starts--);
        for ($ends = $to; $ends > $from && $dense[$ends] <= ($most + $level) / 2; $ends--);
        $stitches = ($ends - $starts) / $each - self::OVER;
        $back = (int) round($stitches);

        return $back < 1 || $back > self::MOST_BACK || abs($stitches - $back) > self::BETWEEN ? null : $back;
    }

    /** @param  list<float>  $thread */
    private static function first(array $thread): ?float
    {
        $sorted = $thread;
        sort($sorted);
        $level = $sorted[intdiv(count($sorted), 2)];
        foreach ($thread as $i => $here) {
            if ($here >= self::HALF * $level && $i + self::ON < count($thread) && min([INF, ...array_slice($thread, $i, self::ON)]) >= self::STAYS * $level) {
                $before = $thread[$i - 1] ?? $here;

                return $i + 0.5 - ($here > $before ? ($here - self::HALF * $level) / ($here - $before) : 0.0);
            }
        }

        return null;
    }
}
