<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Near;

/** A fold beside a row, by the line of shadow or of light along it; the row is followed, and what lies next to it looked at. */
final readonly class FoldBeside
{
    /** Nearer to the row its thread hides it, mm. */
    private const NEAREST_MM = 0.7;

    public const FURTHEST_MM = 8.0;

    /** A mark is read over so much of it on both sides, mm. */
    private const MARK_MM = 4.0;

    /** Its shadow is no wider than so many steps to one side. */
    private const FLANK = 13;

    /** What stands out by less may be a thread of the weave. */
    private const LEAST_SHADES = 9.0;

    /** On both sides there is less of it than that, of what is seen in its middle. */
    private const FALLS = 0.4;

    /** It is rounded, and its shadow lies beside it: where it is, by what is seen of it, mm. */
    private const SHADOW_MM = 0.12;

    /** @param  bool  $isInwards  further from the edge than the row is */
    private function __construct(private FoundPiece $piece, private RowStrip $strip, private RowTrace $trace, public bool $isInwards) {}

    /** @param  bool  $isInwards  further from the edge than the row is */
    public static function find(FoundPiece $piece, string $side, FollowedRow $row, bool $isInwards): ?self
    {
        $strip = RowStrip::beside($piece, $side, $row, $isInwards ? [self::NEAREST_MM, self::FURTHEST_MM] : [-self::NEAREST_MM, -self::FURTHEST_MM]);
        $trace = $strip === null ? null : RowTrace::find($strip, 0.0);

        return $strip !== null && $trace instanceof RowTrace ? new self($piece, $strip, $trace, $isInwards) : null;
    }

    /**
     * @param  float  $along  the edge of the row, mm
     * @return Reading|null how far from the row it is there, mm
     */
    public function at(float $along): ?Reading
    {
        $about = $this->trace->about(($along - $this->strip->start) / RowStrip::STEP_MM, self::MARK_MM / RowStrip::STEP_MM);
        // Its shadow falls beyond it, and light is seen on it: the fold is where the one begins or the other ends. What does not
        // end towards the row is the row’s own thread.
        [$towards, $beyond] = [$this->flank($along, -1), $this->flank($along, 1)];
        if ($about === null || $towards === null || $beyond === null) {
            return null;
        }
        $edge = $this->strip->isLight ? $beyond : $towards;

        return Reading::combined(self::NEAREST_MM + ($about[0] + $edge) * RowStrip::STEP_MM, self::SHADOW_MM, $this->piece->mm / sqrt(12), $about[1] * RowStrip::STEP_MM);
    }

    /**
     * Where what is seen has fallen half way to the cloth beside it, towards the row or away from it.
     *
     * @param  1|-1  $sign
     * @return float|null steps from its middle; null where it does not within the strip
     */
    private function flank(float $along, int $sign): ?float
    {
        $from = (int) round(($along - self::MARK_MM - $this->strip->start) / RowStrip::STEP_MM);
        $to = (int) round(($along + self::MARK_MM - $this->strip->start) / RowStrip::STEP_MM);
        $seen = array_fill(0, self::FLANK, 0.0);
        $room = self::FLANK - 1.0;
        for ($i = max(0, $from); $i < min($to, count($this->strip->thread)); $i++) {
            $middle = $this->trace->at($i + 0.5);
            $room = min($room, $sign < 0 ? $middle : count($this->strip->thread[$i]) - 1 - $middle);
            foreach ($seen as $k => $sum) {
                $seen[$k] = $sum + Signal::between($this->strip->thread[$i], $middle + $sign * $k);
            }
        }
        if ($seen[0] < self::LEAST_SHADES * ($to - $from)) {
            return null;
        }
        $half = max(($seen[0] + min($seen)) / 2, $seen[0] * self::FALLS);
        for ($k = 1; $k < self::FLANK; $k++) {
            if ($seen[$k] <= $half) {
                $is = $k - ($half - $seen[$k]) / max(Near::DUST, $seen[$k - 1] - $seen[$k]);

                return $is > $room ? null : $sign * $is;
            }
        }

        return null;
    }
}
