<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/**
 * Quantiles of the chi-square distribution, good to a percent from ten degrees of freedom on.
 *
 * Source: Wilson and Hilferty 1931; Abramowitz & Stegun 1964, 26.4.17. From memory.
 */
final class ChiSquare
{
    /**
     * @param  float  $z  the same quantile of the standard normal distribution: 1.645 for 95 %
     * @param  int  $degrees  of freedom, from 1
     */
    public static function at(float $z, int $degrees): float
    {
        $part = 2 / (9 * $degrees);

        return $degrees * max(0.0, 1 - $part + $z * sqrt($part)) ** 3;
    }
}
