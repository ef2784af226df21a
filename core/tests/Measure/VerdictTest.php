<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Measure;

use OpenSeam\Core\Measure\Judgement;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\StitchLength;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\ToleranceOutOfOrder;
use OpenSeam\Core\Measure\Verdict;
use PHPUnit\Framework\TestCase;

final class VerdictTest extends TestCase
{
    public function test_the_three_chances_make_one(): void
    {
        $tolerance = Tolerance::around(2.5, 0.2, 0.4);
        for ($y = 1.5; $y <= 3.5; $y += 0.01) {
            $j = Judgement::of(Reading::of($y, 0.08), $tolerance);
            self::assertEqualsWithDelta(1.0, $j->pMet + $j->pNear + $j->pNotYet, 1e-12);
            self::assertGreaterThanOrEqual(0.0, $j->weight());
            self::assertLessThanOrEqual(1.0, $j->weight());
        }
    }

    /** A verdict is only given at 0.8; on a limit the chance is about a half. */
    public function test_on_the_limit_it_is_unsure(): void
    {
        $j = Judgement::of(Reading::of(2.7, 0.05), Tolerance::around(2.5, 0.2, 0.4));
        self::assertSame(Verdict::Unsure, $j->verdict);
        self::assertEqualsWithDelta(0.5, $j->pMet, 1e-4);
    }

    public function test_without_uncertainty_a_value_is_placed(): void
    {
        $band = Tolerance::bands(2, 5, 1, 7);
        self::assertSame([Verdict::NotYet, Verdict::Near, Verdict::Met, Verdict::Met, Verdict::Near, Verdict::NotYet],
            array_map(fn (int $n): Verdict => Judgement::of(Reading::exact($n), $band)->verdict, [0, 1, 2, 5, 7, 8]));
    }

    public function test_near_is_half_of_the_evidence(): void
    {
        self::assertSame(0.5, Judgement::plain(Verdict::Near)->weight());
        self::assertSame(1.0, Judgement::plain(Verdict::Met)->weight());
        self::assertSame(0.0, Judgement::plain(Verdict::NotYet)->weight());
    }

    public function test_the_count_asked_for_decides_and_one_less_does_not(): void
    {
        $tolerance = Tolerance::around(1.0, 0.2, 0.4);
        $read = StitchLength::counted(6, 7, $tolerance);
        self::assertSame(Verdict::Unsure, $read->judgement->verdict);
        $n = $read->stitchesToDecide;
        self::assertNotNull($n);
        $length = 7 / 6;
        self::assertNotSame(Verdict::Unsure, StitchLength::counted($n, $n * $length, $tolerance)->judgement->verdict);
        self::assertSame(Verdict::Unsure, StitchLength::counted($n - 1, ($n - 1) * $length, $tolerance)->judgement->verdict);
    }

    public function test_right_at_a_limit_no_count_decides(): void
    {
        self::assertNull(StitchLength::counted(10, 27, Tolerance::around(2.5, 0.2, 0.4))->stitchesToDecide);
    }

    public function test_tolerances_must_nest(): void
    {
        $this->expectException(ToleranceOutOfOrder::class);
        Tolerance::around(2.5, 0.4, 0.2);
    }
}
