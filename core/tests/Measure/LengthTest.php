<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Measure;

use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\NotALength;
use OpenSeam\Core\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    /** @return iterable<string, array{string, Unit, float}> */
    public static function typed(): iterable
    {
        yield 'point' => ['15.9', Unit::Millimetre, 15.9];
        yield 'comma' => ['15,9', Unit::Millimetre, 15.9];
        yield 'no leading zero' => [',5', Unit::Millimetre, 0.5];
        yield 'fraction of an inch' => ['5/8', Unit::Inch, 15.875];
        yield 'mixed' => ['1 1/2', Unit::Inch, 38.1];
        yield 'mixed with a dash' => ['1-1/2', Unit::Inch, 38.1];
        yield 'one sign' => ['1½', Unit::Inch, 38.1];
        yield 'sign alone' => ['¼', Unit::Inch, 6.35];
        yield 'fraction slash' => ['1⁄4', Unit::Inch, 6.35];
        yield 'fraction of a mm' => ['1/2', Unit::Millimetre, 0.5];
        yield 'unit wins' => ['2 cm', Unit::Inch, 20.0];
        yield 'inch mark' => ['5/8"', Unit::Millimetre, 15.875];
        yield 'mm in an inch field' => ['6.35mm', Unit::Inch, 6.35];
        yield 'spaces' => ['  7 ', Unit::Millimetre, 7.0];
        yield 'zero' => ['0', Unit::Inch, 0.0];
    }

    #[DataProvider('typed')]
    public function test_reads_what_people_type(string $typed, Unit $unit, float $mm): void
    {
        self::assertEqualsWithDelta($mm, Length::parse($typed, $unit)->inMm(), 1e-9);
    }

    /** @return iterable<array{string, string}> */
    public static function nonsense(): iterable
    {
        yield ['abc', 'abc'];
        yield ['', 'not a length'];
        yield ['-3', '-3 mm'];
        yield ['−3', '-3 mm'];
        yield ['1/0', 'zero'];
        yield ['1,2,3', '1,2,3'];
        yield ['1e5', '1e5'];
        yield ['NaN', 'NaN'];
        yield ['0x1A', '0x1A'];
        yield ['1 2', '1 2'];
        yield ['99999999', '0 to 100000'];
        yield ['5/8/2', '5/8/2'];
        yield [str_repeat('9', 5000), 'not a length'];
    }

    #[DataProvider('nonsense')]
    public function test_says_why_something_is_not_a_length(string $typed, string $said): void
    {
        $this->expectException(NotALength::class);
        $this->expectExceptionMessage($said);
        Length::parse($typed, Unit::Millimetre);
    }

    public function test_refuses_what_cannot_be(): void
    {
        foreach ([-0.001, INF, NAN, 100_000.1] as $mm) {
            try {
                Length::mm($mm);
                self::fail("$mm mm was taken.");
            } catch (NotALength $e) {
                self::assertStringContainsString('100000 mm is allowed', $e->getMessage());
            }
        }
    }

    /** Every sixteenth up to 8 inches comes back as it was typed, with nothing left over. */
    public function test_sixteenths_go_round(): void
    {
        for ($n = 1; $n <= 128; $n++) {
            $length = Length::mm($n * 25.4 / 16);
            self::assertEqualsWithDelta($length->inMm(), Length::inches($length->asInchFraction())->inMm(), 1e-9);
            self::assertEqualsWithDelta(0.0, $length->leftoverMm(), 1e-9);
            self::assertDoesNotMatchRegularExpression('#[2468]/(2|4|8|16)$#', $length->asInchFraction(), 'in lowest terms');
        }
    }

    public function test_the_leftover_has_its_sign(): void
    {
        self::assertSame('5/8', Length::mm(15.9)->asInchFraction());
        self::assertEqualsWithDelta(0.025, Length::mm(15.9)->leftoverMm(), 1e-9);
        self::assertSame('1', Length::mm(25.0)->asInchFraction());
        self::assertEqualsWithDelta(-0.4, Length::mm(25.0)->leftoverMm(), 1e-9);
    }
}
