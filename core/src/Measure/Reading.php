<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use OpenSeam\Core\ValueRefused;

/**
 * A measured value with its standard uncertainty u (same unit).
 *
 * A limit of ±a with nothing known inside it is a rectangular distribution:
 * u = a/√3 (JCGM 100:2008, 4.3.7).
 */
final readonly class Reading
{
    /** A steel ruler laid by hand is read to ±0.5 mm; common practice, no source. */
    public const RULER_LIMIT_MM = 0.5;

    /** How far a ruler is laid off at most, mm; the rest of a limit is rounding. Common practice, no source. */
    private const LAID_MM = 0.25;

    /** A scale coarser than that, mm: its limit is rounding alone, in which the laying drowns. Common practice, no source. */
    public const COARSE_MM = 0.75;

    /** A counted stretch is sure to ±0.5 stitch; common practice, no source. */
    public const COUNT_LIMIT = 0.5;

    private function __construct(public float $value, public float $u) {}

    /** @throws ValueRefused when u is negative or a number is not finite */
    public static function of(float $value, float $u): self
    {
        if (! is_finite($value) || ! is_finite($u) || $u < 0) {
            throw new ValueRefused('A reading needs a finite value and an uncertainty of 0 or more.');
        }

        return new self($value, $u);
    }

    /** A value known as it is: a count, a yes or a no. */
    public static function exact(float $value): self
    {
        return self::of($value, 0.0);
    }

    /** One ruler reading in mm, sure to ± the limit. */
    public static function ruler(float $mm, float $limitMm = self::RULER_LIMIT_MM): self
    {
        return self::of($mm, $limitMm / sqrt(3));
    }

    /**
     * A value that several independent doubts bear on: their standard uncertainties
     * add in quadrature (JCGM 100:2008, 5.1.2).
     *
     * @param  float  ...$parts  each as it moves the value, in its unit
     */
    public static function combined(float $value, float ...$parts): self
    {
        return self::of($value, sqrt(array_sum(array_map(fn (float $u): float => $u ** 2, $parts))));
    }

    /**
     * The mean of n ruler readings in mm. How the ruler was laid differs from one to the next and evens out; what
     * was rounded away does so too, unless all were read at the same mark: then it is the same each time
     * (JCGM 100:2008, F.1.2.3, from memory: common errors do not average).
     *
     * @param  bool  $same  all were read at the same mark
     */
    public static function rulerMean(float $meanMm, int $n, float $limitMm = self::RULER_LIMIT_MM, bool $same = false): self
    {
        $rounded = $same ? max(0.0, $limitMm - ($limitMm > self::COARSE_MM ? 0.0 : self::LAID_MM)) : 0.0;

        return self::combined($meanMm, $rounded / sqrt(3), ($limitMm - $rounded) / sqrt(3 * max(1, $n)));
    }

    /** The difference of two ruler readings in mm. */
    public static function rulerDifference(float $mm, float $limitMm = self::RULER_LIMIT_MM): self
    {
        return self::of($mm, $limitMm * sqrt(2 / 3));
    }

    /** The expanded uncertainty U = k·u with k = 2. */
    public function expanded(): float
    {
        return 2 * $this->u;
    }
}
