<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/**
 * The standard normal distribution.
 *
 * Source: error function by its power series for small arguments and by the
 * continued fraction of erfc for large ones (Abramowitz & Stegun 1964, 7.1.6
 * and 7.1.14), both run to double precision. From memory.
 */
final class Normal
{
    /** Φ(z), the chance that a standard normal value is at most z; 0 to 1. */
    public static function cdf(float $z): float
    {
        if (is_nan($z)) {
            return NAN;
        }
        $x = abs($z) / M_SQRT2;
        $tail = $x < 2.5 ? 0.5 * (1 - self::erfSeries($x)) : 0.5 * self::erfcFraction($x);

        return $z > 0 ? 1 - $tail : $tail;
    }

    private static function erfSeries(float $x): float
    {
        $term = $x;
        $sum = $x;
        for ($n = 1; $n < 200 && abs($term) > 1e-17 * abs($sum); $n++) {
            $term *= 2 * $x * $x / (2 * $n + 1);
            $sum += $term;
        }

        return 2 / sqrt(M_PI) * exp(-$x * $x) * $sum;
    }

    private static function erfcFraction(float $x): float
    {
        if ($x > 27) {
            return 0.0;
        }
        // The further out, the fewer terms give all digits: 120 at 2.5, 45 at 10.
        $tail = 0.0;
        for ($k = (int) ceil(40 + 500 / ($x * $x)); $k >= 1; $k--) {
            $tail = ($k / 2) / ($x + $tail);
        }

        return exp(-$x * $x) / sqrt(M_PI) / ($x + $tail);
    }
}
