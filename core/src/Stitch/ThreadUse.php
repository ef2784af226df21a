<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

/**
 * Thread of a row in balance: each stroke takes its chord and once through the
 * stack from each thread. Ratio: both threads together for each length of seam,
 * 2(√(L²+W²)+t)/L for straight and zigzag.
 *
 * Source: geometry of the lockstitch; a handbook gives 2.5 for class 301 at 7
 * stitches per cm (thread maker's consumption table, from memory).
 */
final readonly class ThreadUse
{
    private function __construct(public float $topMm, public float $bobbinMm, public float $ratio) {}

    /**
     * @param  float  $lengthMm  for each stroke, above 0
     * @param  float  $widthMm  0 for a straight stitch
     * @param  float  $stackMm  thickness of all layers together
     * @param  float  $seamMm  length of the seam
     */
    public static function ofSeam(float $lengthMm, float $widthMm, float $stackMm, float $seamMm): self
    {
        $each = $seamMm / $lengthMm * (hypot($lengthMm, $widthMm) + $stackMm);

        return new self($each, $each, $seamMm > 0 ? 2 * $each / $seamMm : 0.0);
    }

    /**
     * From the drawn points, for any stitch.
     *
     * @param  list<array{float, float}>  $points
     */
    public static function ofPoints(array $points, float $stackMm, float $rowMm): self
    {
        $each = NeedlePoints::pathMm($points) + max(0, count($points) - 1) * $stackMm;

        return new self($each, $each, 2 * $each / $rowMm);
    }
}
