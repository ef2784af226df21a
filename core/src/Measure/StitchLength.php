<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use OpenSeam\Core\ValueRefused;

/**
 * Stitch length by counting: n stitches over a span S give L = S/n.
 *
 * Limits: count ±0.5 stitch, span ± what the ruler tells apart, both rectangular;
 * relative parts add in quadrature (JCGM 100:2008, 5.1.6). Of a zigzag the points
 * on one side may be counted: two strokes each. Where only whole stitches were
 * counted, half a stitch is missing on average and is added.
 */
final readonly class StitchLength
{
    /** Nobody counts more than this in one go. */
    private const MOST_STITCHES = 1000;

    private function __construct(
        public Reading $reading,
        public Judgement $judgement,
        public ?int $stitchesToDecide,
    ) {}

    /**
     * @param  float  $stitches  counted stitches, above 0 (a half is allowed)
     * @param  float  $spanMm  the span they were counted over, in mm, above 0
     * @param  float  $limitMm  half-width of the ruler's reading, mm
     * @param  bool  $oneSide  points on one side of a zigzag were counted
     * @param  bool  $complete  only whole stitches were counted, not to the nearest half
     *
     * @throws ValueRefused when a number is 0 or below
     */
    public static function counted(float $stitches, float $spanMm, Tolerance $tolerance, float $limitMm = Reading::RULER_LIMIT_MM, bool $oneSide = false, bool $complete = false): self
    {
        if ($stitches <= 0 || $spanMm <= 0) {
            throw new ValueRefused('Stitches and span must both be above 0.');
        }
        $strokes = $oneSide ? 2 : 1;
        $reading = self::read($complete ? $stitches + 0.5 : $stitches, $spanMm, $limitMm, $strokes);
        $judgement = Judgement::of($reading, $tolerance);

        return new self($reading, $judgement, $judgement->verdict === Verdict::Unsure
            ? self::toDecide($reading->value, (int) ceil($stitches), $tolerance, $limitMm, $strokes)
            : null);
    }

    /**
     * The length alone, of one stroke.
     *
     * @param  float  $stitches  see above
     * @param  float  $spanMm  see above
     */
    public static function measured(float $stitches, float $spanMm, float $limitMm = Reading::RULER_LIMIT_MM, bool $oneSide = false): Reading
    {
        return self::read($stitches, $spanMm, $limitMm, $oneSide ? 2 : 1);
    }

    private static function read(float $stitches, float $spanMm, float $limitMm, int $strokes): Reading
    {
        $length = $spanMm / ($stitches * $strokes);

        return Reading::combined($length, $length * Reading::COUNT_LIMIT / sqrt(3) / $stitches, $length * $limitMm / sqrt(3) / $spanMm);
    }

    /**
     * The least count that would give a verdict if the length stays as it looks
     * now; null when it lies so close to a limit that no count in reach would.
     */
    private static function toDecide(float $length, int $from, Tolerance $tolerance, float $limitMm, int $strokes): ?int
    {
        for ($n = max(1, $from); $n <= self::MOST_STITCHES; $n++) {
            if (Judgement::of(self::read($n, $n * $strokes * $length, $limitMm, $strokes), $tolerance)->verdict !== Verdict::Unsure) {
                return $n;
            }
        }

        return null;
    }
}
