<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Tests\Support\ReadBack;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The whole course read back by Monte Carlo with the rulers people have; ./seam bench verdicts does it at length. */
final class ReadBackTest extends TestCase
{
    /** @return iterable<string, array{Unit, float}> */
    public static function rulers(): iterable
    {
        yield 'half millimetres' => [Unit::Millimetre, 0.5];
        yield 'whole millimetres' => [Unit::Millimetre, 1.0];
        yield 'sixteenths of an inch' => [Unit::Inch, 25.4 / 16];
    }

    #[DataProvider('rulers')]
    public function test_what_is_called_met_is_met_and_little_is_left_open(Unit $unit, float $step): void
    {
        $found = ReadBack::all($unit, $step, 20, 7);
        $sum = fn (string $what): int => array_sum(array_column($found, $what));
        self::assertGreaterThan(900, $sum('n'));
        self::assertLessThanOrEqual(0.05, $sum('false') / $sum('n'));
        self::assertLessThanOrEqual(0.20, $sum('still') / $sum('n'), 'after the reading that is asked for');
        self::assertLessThanOrEqual(0.35, $sum('unsure') / $sum('n'), 'at once');
        foreach ($found as $check => $f) {
            // Of twenty rows two more than the share by chance.
            self::assertLessThanOrEqual(0.05 * $f['n'] + 2, $f['false'], $check);
        }
    }
}
