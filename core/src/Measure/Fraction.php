<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/** A count of equal parts as a tailor writes it: 0, 5/8, 1 1/2. */
final class Fraction
{
    /**
     * @param  int  $count  0 or more
     * @param  int  $parts  of a whole, a power of two
     */
    public static function of(int $count, int $parts): string
    {
        while ($parts > 1 && $count % 2 === 0) {
            [$count, $parts] = [intdiv($count, 2), intdiv($parts, 2)];
        }
        [$whole, $rest] = [intdiv($count, $parts), $count % $parts];

        return $rest === 0 ? (string) $whole : ($whole > 0 ? "$whole " : '')."$rest/$parts";
    }
}
