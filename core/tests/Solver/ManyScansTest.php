<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Solver;

use OpenSeam\Core\Scan\ScanReader;
use OpenSeam\Core\Scan\SimulatedSample;
use PHPUnit\Framework\TestCase;

/** Two hundred scans drawn by lot, of which everything is known: read right, or not at all. */
final class ManyScansTest extends TestCase
{
    public function test_two_hundred_scans(): void
    {
        mt_srand(41);
        $between = fn (float $a, float $b): float => $a + ($b - $a) * mt_rand() / mt_getrandmax();
        $right = 0;
        $wrong = [];
        for ($n = 0; $n < 200; $n++) {
            $sample = new SimulatedSample(
                widthMm: 50, heightMm: 60, allowanceMm: $between(5, 30), lengthMm: $between(1.2, 4.5), wobbleMm: $between(0, 0.8), driftMm: $between(-3, 3), missed: $between(0, 0.06),
                tiltDegrees: $between(-2, 2), texture: $between(0, 14), noise: $between(2, 18), contrast: $between(60, 140), lid: mt_rand(0, 1) === 1 ? 30 : 245, loopsMm: mt_rand(0, 3) > 0 ? 0.0 : $between(0.3, 0.9),
            );
            $read = ScanReader::read($sample->draw($n));
            if ($read->cannot !== null) {
                continue;
            }
            $good = abs((float) $read->length?->value / $sample->lengthMm - 1) <= 0.02 && abs((float) $read->allowance?->value - $sample->allowanceMm) <= 0.3;
            $good ? $right++ : $wrong[] = $n;
        }
        self::assertGreaterThanOrEqual(190, $right, 'pitch within 2 %, allowance within 0.3 mm');
        self::assertSame([], $wrong, 'of the rest it says that it cannot tell');
    }
}
