<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Measure;

use OpenSeam\Core\Measure\ChiSquare;
use PHPUnit\Framework\TestCase;

/** Handbook tables: NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.4, from memory. */
final class ChiSquareTest extends TestCase
{
    public function test_as_the_tables_have_it(): void
    {
        foreach ([10 => [3.940, 18.307], 20 => [10.851, 31.410], 60 => [43.188, 79.082]] as $degrees => [$low, $high]) {
            self::assertEqualsWithDelta($low, ChiSquare::at(-1.6449, $degrees), 0.01 * $low);
            self::assertEqualsWithDelta($high, ChiSquare::at(1.6449, $degrees), 0.01 * $high);
        }
        self::assertSame(0.0, ChiSquare::at(-9.0, 1), 'never below nothing');
    }
}
