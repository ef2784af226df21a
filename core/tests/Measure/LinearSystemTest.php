<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Measure;

use OpenSeam\Core\Measure\LinearSystem;
use PHPUnit\Framework\TestCase;

/** Equations with known answers. */
final class LinearSystemTest extends TestCase
{
    public function test_it_solves_what_has_one_answer_and_says_what_has_not(): void
    {
        self::assertEqualsWithDelta([2.0, 3.0, -1.0], LinearSystem::solve([[2.0, 1.0, -1.0, 8.0], [-3.0, -1.0, 2.0, -11.0], [-2.0, 1.0, 2.0, -3.0]]), 1e-12, 'a worked example of every textbook of elimination');
        // The first factor is nought: rows change places.
        self::assertEqualsWithDelta([1.0, 2.0], LinearSystem::solve([[0.0, 1.0, 2.0], [1.0, 0.0, 1.0]]), 1e-12);
        self::assertNull(LinearSystem::solve([[1.0, 2.0, 3.0], [2.0, 4.0, 7.0]]), 'one says twice what the other says');
        // The Hilbert matrix of four: its rows sum to what all ones give (Hilbert 1894; from memory).
        $hilbert = array_map(fn (int $i): array => [...array_map(fn (int $j): float => 1 / ($i + $j + 1), range(0, 3)), array_sum(array_map(fn (int $j): float => 1 / ($i + $j + 1), range(0, 3)))], range(0, 3));
        self::assertEqualsWithDelta([1.0, 1.0, 1.0, 1.0], LinearSystem::solve($hilbert), 1e-9);
    }

    public function test_more_equations_than_unknowns_are_met_as_well_as_they_can_be(): void
    {
        // Anscombe’s first set (The American Statistician 27, 1973): y = 3.00 + 0.500 x.
        $x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5];
        $y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68];
        [$slope, $start] = LinearSystem::fit(array_map(fn (int $a, float $b): array => [(float) $a, 1.0, $b], $x, $y)) ?? [0.0, 0.0];
        self::assertEqualsWithDelta(0.5001, $slope, 0.0001);
        self::assertEqualsWithDelta(3.0001, $start, 0.0001);
        self::assertNull(LinearSystem::fit([[1.0, 2.0, 3.0]]), 'fewer than unknowns');
        self::assertNull(LinearSystem::fit([]));
    }
}
