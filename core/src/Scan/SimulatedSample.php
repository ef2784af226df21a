<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A stand-in for a scanner: a sewn row parallel to the right edge of a piece of
 * cloth, with everything about it known. The same seed draws the same scan.
 */
final readonly class SimulatedSample
{
    /** Edge of the patch that texture and noise are taken from, pixels. */
    private const PATCH = 257;

    /** Share of a stitch that dips into the cloth at each end. */
    private const HIDDEN = 0.14;

    private const CLOTH = 196;

    private const THREAD_MM = 0.38;

    public function __construct(
        public float $widthMm = 60.0,
        public float $heightMm = 80.0,
        public float $dpi = 300.0,
        /** Row to cloth edge in the middle of the row. */
        public float $allowanceMm = 15.9,
        public float $lengthMm = 2.5,
        /** To and fro, mm from its line. */
        public float $wobbleMm = 0.0,
        /** Change of the allowance from the top to the bottom. */
        public float $driftMm = 0.0,
        /** Share of stitches that were missed. */
        public float $missed = 0.0,
        /** How the piece lies on the glass. */
        public float $tiltDegrees = 0.0,
        /** Shades of the weave, and of the scanner's noise. */
        public float $texture = 8.0,
        public float $noise = 6.0,
        /** Shades the thread is darker than the cloth; the top thread contrasts. */
        public float $contrast = 110.0,
        /** Behind the cloth: 30 is a dark lid, 245 a white one. */
        public int $lid = 30,
        /** Loops of a loose top thread beside each hole, mm. */
        public float $loopsMm = 0.0,
    ) {}

    public function draw(int $seed): GreyImage
    {
        $lot = new Randomizer(new Mt19937($seed));
        $px = $this->dpi / 25.4;
        [$w, $h] = [(int) round($this->widthMm * $px), (int) round($this->heightMm * $px)];
        $slope = tan(deg2rad($this->tiltDegrees));
        // Cloth to the right edge, a margin of lid beyond it.
        $edge = fn (float $y): float => $w - 6 * $px + $slope * ($y - $h / 2);
        $cloth = $this->patch($lot, self::CLOTH, $this->texture, $px);
        $lid = $this->patch($lot, $this->lid, 0.0, $px);
        $rows = [];
        for ($y = 0; $y < $h; $y++) {
            $x = (int) max(0, min($w, round($edge($y))));
            $from = $lot->getInt(0, 7);
            $rows[] = substr(str_repeat($cloth[$y % self::PATCH], intdiv($w, self::PATCH) + 2), $from, $x).substr(str_repeat($lid[$y % self::PATCH], intdiv($w, self::PATCH) + 2), $from, $w - $x);
        }
        $at = fn (float $y): float => $edge($y) - $px * ($this->allowanceMm + $this->driftMm * ($y / $h - 0.5) + $this->wobbleMm * sin(2 * M_PI * $y / (23.0 * $px))) / cos(atan($slope));
        $this->sew($rows, $at, $h, $px, $lot);

        return new GreyImage($w, $h, $this->dpi, implode('', $rows));
    }

    /** @return list<string> rows of cloth or lid with weave and noise */
    private function patch(Randomizer $lot, int $shade, float $weave, float $px): array
    {
        $rows = [];
        for ($y = 0; $y < self::PATCH; $y++) {
            $row = '';
            for ($x = 0; $x < self::PATCH; $x++) {
                // Two threads a millimetre each way, and grain.
                $woven = $weave * (sin(2 * M_PI * 2 * $x / $px) + sin(2 * M_PI * 2 * $y / $px)) / 2;
                $grain = $this->noise * ($lot->getInt(-100, 100) + $lot->getInt(-100, 100)) / 115;
                $row .= chr((int) max(0, min(255, round($shade + $woven + $grain))));
            }
            $rows[] = $row;
        }

        return $rows;
    }

    /**
     * @param  list<string>  $rows
     * @param  callable(float): float  $at  where the row runs, pixels
     *
     * @param-out list<string> $rows
     */
    private function sew(array &$rows, callable $at, int $h, float $px, Randomizer $lot): void
    {
        $step = $this->lengthMm * $px;
        $hole = $lot->getInt(2, (int) max(3, $step));
        while ($hole < $h) {
            $next = $hole + $step;
            while ($lot->getInt(0, 9_999) < 10_000 * $this->missed && $next < $h) {
                // No lock here: the thread runs on to the next.
                $next += $step;
            }
            $long = $next - $hole;
            for ($y = $hole + self::HIDDEN * $step; $y < min($h, $next - self::HIDDEN * $step); $y++) {
                $this->thread($rows, (int) $y, $at($y) + $lot->getInt(-10, 10) / 40, $px, 1.0);
            }
            for ($k = 0; $k < $this->loopsMm * $px; $k++) {
                $this->thread($rows, (int) min($h - 1, $hole + $k % 3), $at($hole) + $k, $px, 0.7);
            }
            $hole = $next;
        }
    }

    /**
     * @param  list<string>  $rows
     *
     * @param-out list<string> $rows
     */
    private function thread(array &$rows, int $y, float $x, float $px, float $share): void
    {
        $half = self::THREAD_MM * $px / 2;
        for ($i = (int) floor($x - 2 * $half); $i <= $x + 2 * $half; $i++) {
            if (isset($rows[$y][$i])) {
                $dark = $share * $this->contrast * exp(-((($i - $x) / $half) ** 2));
                $rows[$y][$i] = chr((int) max(0, round(ord($rows[$y][$i]) - $dark)));
            }
        }
    }
}
