<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use InvalidArgumentException;

/**
 * Stitch length by counting: n stitches over a span S give L = S/n.
 *
 * Limits: count ±0.5 stitch, span ±0.5 mm, both rectangular; relative parts add
 * in quadrature (JCGM 100:2008, 5.1.6).
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
     *
     * @throws InvalidArgumentException when a number is 0 or below
     */
    public static function counted(float $stitches, float $spanMm, Tolerance $tolerance): self
    {
        if ($stitches <= 0 || $spanMm <= 0) {
            throw new InvalidArgumentException('Stitches and span must both be above 0.');
        }
        $reading = self::read($stitches, $spanMm);
        $judgement = Judgement::of($reading, $tolerance);

        return new self($reading, $judgement, $judgement->verdict === Verdict::Unsure
            ? self::toDecide($reading->value, (int) ceil($stitches), $tolerance)
            : null);
    }

    private static function read(float $stitches, float $spanMm): Reading
    {
        $length = $spanMm / $stitches;

        return Reading::combined($length, $length * Reading::COUNT_LIMIT / sqrt(3) / $stitches, $length * Reading::RULER_LIMIT_MM / sqrt(3) / $spanMm);
    }

    /**
     * The least count that would give a verdict if the length stays as it looks
     * now; null when it lies so close to a limit that no count in reach would.
     */
    private static function toDecide(float $length, int $from, Tolerance $tolerance): ?int
    {
        for ($n = max(1, $from); $n <= self::MOST_STITCHES; $n++) {
            if (Judgement::of(self::read($n, $n * $length), $tolerance)->verdict !== Verdict::Unsure) {
                return $n;
            }
        }

        return null;
    }
}
