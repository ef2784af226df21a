<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Measure;

use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\NotALength;
use OpenSeam\Core\Measure\Typed;
use OpenSeam\Core\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Digits of other keyboards; their values are those of the Unicode character database. */
final class TypedTest extends TestCase
{
    /** @return iterable<array{string, string}> */
    public static function keyboards(): iterable
    {
        yield 'full-width' => ['１６．５', '16.5'];
        yield 'Arabic' => ['١٦٫٥', '16.5'];
        yield 'Persian' => ['۱۶٫۵', '16.5'];
        yield 'Devanagari' => ['१६.५', '16.5'];
        yield 'a full-width slash' => ['５／８ in', '5/8 in'];
        yield 'on the way' => ['16.', '16'];
        yield 'on the way, with a comma and a unit' => ['16, mm', '16 mm'];
        yield 'as it was' => ['1 5/8"', '1 5/8"'];
        yield 'no number' => ['abc.', 'abc.'];
    }

    #[DataProvider('keyboards')]
    public function test_what_is_typed_is_read_whatever_keyboard_it_was_typed_on(string $typed, string $plain): void
    {
        self::assertSame($plain, Typed::plain($typed));
    }

    public function test_a_length_is_read_from_them(): void
    {
        self::assertSame(16.5, Length::parse('١٦٫٥', Unit::Millimetre)->inMm());
        self::assertSame(15.875, Length::parse('５／８', Unit::Inch)->inMm());
        self::assertSame(16.0, Length::parse('16.', Unit::Millimetre)->inMm());
        $this->expectException(NotALength::class);
        Length::parse('1.2.', Unit::Millimetre);
    }
}
