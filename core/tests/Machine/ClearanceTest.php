<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Machine;

use Eris\Generators;
use Eris\TestTrait;
use OpenSeam\Core\Machine\Clearance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClearanceTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{float, float, string}> width, margin, verdict: the design paper's worked values */
    public static function worked(): iterable
    {
        yield 'clear' => [5.0, 0.6, 'clear'];
        yield 'close' => [6.0, 0.1, 'close'];
        yield 'strike' => [7.0, -0.4, 'strike'];
        yield 'exactly half a millimetre is clear' => [5.2, 0.5, 'clear'];
        yield 'just below is close' => [5.21, 0.495, 'close'];
        yield 'touching is no strike yet' => [6.2, 0.0, 'close'];
        yield 'a hundredth further is' => [6.22, -0.01, 'strike'];
    }

    #[DataProvider('worked')]
    public function test_worked_values(float $width, float $margin, string $verdict): void
    {
        $c = Clearance::of(3.5, 3.5, $width, 0.0, 80.0);
        self::assertEqualsWithDelta($margin, $c->leftMm, 1e-9);
        self::assertEqualsWithDelta($margin, $c->rightMm, 1e-9);
        self::assertSame($verdict, $c->verdict());
    }

    public function test_mirrored_left_and_right_change_places(): void
    {
        $tenth = fn (int $from, int $to) => Generators::map(fn (int $n): float => $n / 10, Generators::choose($from, $to));
        $this->forAll($tenth(3, 150), $tenth(3, 150), $tenth(0, 120), $tenth(-45, 45), Generators::choose(60, 120))
            ->then(function (float $left, float $right, float $width, float $position, int $needle): void {
                $here = Clearance::of($left, $right, $width, $position, (float) $needle);
                $mirrored = Clearance::of($right, $left, $width, -$position, (float) $needle);
                self::assertEqualsWithDelta($here->leftMm, $mirrored->rightMm, 1e-12);
                self::assertEqualsWithDelta($here->rightMm, $mirrored->leftMm, 1e-12);
                self::assertSame($here->verdict(), $mirrored->verdict());
            });
    }

    public function test_wider_or_thicker_never_makes_more_room(): void
    {
        $this->forAll(Generators::choose(0, 100), Generators::choose(1, 20), Generators::choose(60, 110))
            ->then(function (int $width, int $more, int $needle): void {
                $here = Clearance::of(4.0, 3.0, $width / 10, 0.0, (float) $needle)->smallestMm();
                self::assertLessThan($here, Clearance::of(4.0, 3.0, ($width + $more) / 10, 0.0, (float) $needle)->smallestMm());
                self::assertLessThan($here, Clearance::of(4.0, 3.0, $width / 10, 0.0, (float) $needle + $more)->smallestMm());
            });
    }

    public function test_a_needle_is_read_from_what_was_noted_of_it(): void
    {
        $read = array_map(Clearance::needleOf(...), ['90' => '90', 'both numbers' => '90/14', 'nothing' => null, 'empty' => '', 'no size' => 'jeans', 'thinner than any' => '8', 'thicker' => '900']);
        self::assertSame(['90' => 90.0, 'both numbers' => 90.0, 'nothing' => 80.0, 'empty' => 80.0, 'no size' => 80.0, 'thinner than any' => 50.0, 'thicker' => 200.0], $read);
    }

    public function test_left_wall_counts_for_a_left_needle(): void
    {
        $c = Clearance::of(1.5, 5.0, 0.0, -2.0, 90.0);
        self::assertEqualsWithDelta(-0.95, $c->leftMm, 1e-9);
        self::assertEqualsWithDelta(6.55, $c->rightMm, 1e-9);
        self::assertSame('strike', $c->verdict());
    }
}
