<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Measure;

use OpenSeam\Core\Measure\Judgement;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\RulerLimit;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Half of what could be told apart when it was typed, and never below what laying the ruler leaves. */
final class RulerLimitTest extends TestCase
{
    /** @return iterable<string, array{list<string>, Unit, float, float|null}> typed, unit, the tool's half-width, the limit */
    public static function typed(): iterable
    {
        $ruler = Reading::RULER_LIMIT_MM;
        yield 'whole millimetres' => [['16', '15', '16'], Unit::Millimetre, $ruler, 0.7];
        yield 'halves' => [['16', '15,5', '16'], Unit::Millimetre, $ruler, 0.5];
        yield 'centimetres, whole mm' => [['1.6 cm'], Unit::Millimetre, $ruler, 0.7];
        yield 'centimetres, halves' => [['1.65 cm'], Unit::Millimetre, $ruler, 0.5];
        yield 'sixteenths' => [['5/8', '9/16'], Unit::Inch, $ruler, 25.4 / 32];
        yield 'a half is read on sixteenths too' => [['1 1/2'], Unit::Inch, $ruler, 25.4 / 32];
        yield 'a whole inch likewise' => [['2'], Unit::Inch, $ruler, 25.4 / 32];
        yield 'thirty-seconds' => [['19/32'], Unit::Inch, $ruler, 0.5];
        yield 'one of them shows the ruler' => [['5/8', '19/32'], Unit::Inch, $ruler, 0.5];
        yield 'decimal inches' => [['0.625'], Unit::Inch, $ruler, 0.5];
        yield 'inches where mm are usual' => [['5/8 in'], Unit::Millimetre, $ruler, 25.4 / 32];
        yield 'mm where inches are usual' => [['15.5 mm'], Unit::Inch, $ruler, 0.5];
        yield 'a magnifier' => [['3', '3.5'], Unit::Millimetre, 0.2, 0.2];
        yield 'sixteenths under a magnifier' => [['1/8'], Unit::Inch, 0.2, 25.4 / 32];
        yield 'a picture says its own in inches' => [['0.627 ±0.005'], Unit::Inch, $ruler, 0.127];
        yield 'a limit with a unit of its own' => [['5/8 ±0.12 mm'], Unit::Inch, $ruler, 0.12];
        yield 'a picture says its own' => [['15.93 ±0.12'], Unit::Millimetre, $ruler, 0.12];
        yield 'nothing yet' => [['', ' '], Unit::Millimetre, $ruler, null];
    }

    /** @param  list<string>  $typed */
    #[DataProvider('typed')]
    public function test_from_how_it_was_typed(array $typed, Unit $unit, float $tool, ?float $limit): void
    {
        $limit === null ? self::assertNull(RulerLimit::of($typed, $unit, $tool)) : self::assertEqualsWithDelta($limit, RulerLimit::of($typed, $unit, $tool), 1e-9);
    }

    /** Lengths drawn by lot and read to the sixteenth: one met verdict in twenty at most is wrong; with the old half millimetre more were. */
    public function test_inches_are_not_called_met_too_easily(): void
    {
        mt_srand(16);
        $band = Tolerance::bands(2, 6, 1, 9);
        $wrong = fn (float $limit): float => self::share($band, $limit, 25.4 / 16);
        self::assertLessThanOrEqual(0.05, $wrong((float) RulerLimit::of(['1/16'], Unit::Inch)));
        self::assertGreaterThan($wrong((float) RulerLimit::of(['1/16'], Unit::Inch)), $wrong(0.25));
        // Whole millimetres, likewise.
        self::assertLessThanOrEqual(0.05, self::share($band, (float) RulerLimit::of(['3'], Unit::Millimetre), 1.0));
    }

    /** Of met verdicts, the share whose true length is not met. */
    private static function share(Tolerance $band, float $limit, float $step): float
    {
        [$met, $false] = [0, 0];
        for ($i = 0; $i < 20_000; $i++) {
            $true = mt_rand() / mt_getrandmax() * 10;
            // Laid up to 0.4 mm off, and read to the step.
            $read = Length::mm(max(0.0, round(($true + (mt_rand() / mt_getrandmax() - 0.5) * 0.8) / $step) * $step))->inMm();
            if (Judgement::of(Reading::ruler($read, $limit), $band)->verdict === Verdict::Met) {
                $met++;
                $false += $band->place($true) === Verdict::Met ? 0 : 1;
            }
        }

        return $false / max(1, $met);
    }
}
