<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/**
 * Two nested bands: inside the first is met, inside the second near, else not
 * yet. In the unit of what is measured; a side may be open (±INF).
 */
final readonly class Tolerance
{
    private function __construct(
        public float $metLow,
        public float $metHigh,
        public float $nearLow,
        public float $nearHigh,
    ) {}

    /** @throws ToleranceOutOfOrder when near is smaller than met or one is negative */
    public static function around(float $target, float $met, float $near): self
    {
        if ($met < 0 || $near < $met) {
            throw ToleranceOutOfOrder::nearInsideMet($met, $near);
        }

        return new self($target - $met, $target + $met, $target - $near, $target + $near);
    }

    /** @throws ToleranceOutOfOrder when the bands do not nest */
    public static function bands(float $metLow, float $metHigh, float $nearLow, float $nearHigh): self
    {
        if ($metLow > $metHigh || $nearLow > $metLow || $nearHigh < $metHigh) {
            throw ToleranceOutOfOrder::bands();
        }

        return new self($metLow, $metHigh, $nearLow, $nearHigh);
    }

    /** @throws ToleranceOutOfOrder when near is below met */
    public static function atMost(float $met, float $near): self
    {
        return self::bands(-INF, $met, -INF, $near);
    }

    /** @throws ToleranceOutOfOrder when near is above met */
    public static function atLeast(float $met, float $near): self
    {
        return self::bands($met, INF, $near, INF);
    }

    /** The limit that lies nearest to a value: the one a doubt is about. */
    public function nearestLimit(float $value): float
    {
        $limits = array_values(array_filter([$this->metLow, $this->metHigh, $this->nearLow, $this->nearHigh], is_finite(...)));
        usort($limits, fn (float $a, float $b): int => abs($value - $a) <=> abs($value - $b));

        return $limits[0] ?? $value;
    }

    /** Where a value lies, taken as exact. */
    public function place(float $value): Verdict
    {
        return match (true) {
            $value >= $this->metLow && $value <= $this->metHigh => Verdict::Met,
            $value >= $this->nearLow && $value <= $this->nearHigh => Verdict::Near,
            default => Verdict::NotYet,
        };
    }
}
