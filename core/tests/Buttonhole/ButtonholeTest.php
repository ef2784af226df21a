<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Buttonhole;

use InvalidArgumentException;
use OpenSeam\Core\Buttonhole\Button;
use OpenSeam\Core\Buttonhole\ButtonShape;
use OpenSeam\Core\Buttonhole\LengthRules;
use OpenSeam\Core\Buttonhole\Spacing;
use PHPUnit\Framework\TestCase;

final class ButtonholeTest extends TestCase
{
    /** The schools' own figures for a flat button of 15 mm × 3 mm: common practice, no source; the values of the design paper. */
    public function test_five_schools_for_a_flat_button(): void
    {
        $rules = LengthRules::of(Button::of(ButtonShape::Flat, 15, 3));
        self::assertSame([21.4, 21.2, 15.0, 15.0, 18.0], array_map(fn (array $r): float => round($r['length'], 1), array_values($rules->rules)));
        self::assertEqualsWithDelta(6.35, $rules->spreadMm(), 1e-9);
        self::assertSame('diameter-thickness-eighth', $rules->recommended);
        self::assertEqualsWithDelta(21.175, $rules->recommendedMm(), 1e-9);
        // Five lines of an eighth under 15 mm, and half a line.
        self::assertEqualsWithDelta(5.5 * 3.175, LengthRules::of(Button::of(ButtonShape::Flat, 15, 3), 3.175)->rules['slider-lines']['length'] ?? 0, 1e-9);
    }

    public function test_what_is_not_flat(): void
    {
        $ball = LengthRules::of(Button::of(ButtonShape::Ball, 12, 12));
        self::assertEqualsWithDelta(M_PI * 6, $ball->rules['half-wrap']['length'], 1e-12);
        self::assertSame('wrap-and-bars', $ball->recommended);
        self::assertEqualsWithDelta(M_PI * 6 + 3, $ball->recommendedMm(), 1e-12);
        self::assertSame([24.0, false], [$ball->rules['button-in-foot']['length'], $ball->rules['marked-width']['suits']]);
        // A dome as high as half its width is half a ball: half the way round is (d + π·d/2)/2.
        self::assertEqualsWithDelta((20 + M_PI * 10) / 2, Button::of(ButtonShape::Domed, 20, 10)->halfWrapMm(), 1e-9);
        self::assertTrue(Button::of(ButtonShape::Domed, 20, 10)->isEstimated());
        // Measured is measured, whatever the shape.
        self::assertSame(22.5, Button::of(ButtonShape::Domed, 20, 6, 45)->halfWrapMm());
        // A dome so flat that it is a disc comes to its diameter.
        self::assertEqualsWithDelta(20.0, Button::of(ButtonShape::Domed, 20, 0.01)->halfWrapMm(), 1e-4);
    }

    public function test_a_strip_shorter_than_twice_across_was_not_wound_round(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Button::of(ButtonShape::Flat, 20, 3, 30);
    }

    public function test_even_from_first_to_last(): void
    {
        $s = Spacing::even(20, 420, 6, 190);
        self::assertSame([[20.0, 100.0, 180.0, 260.0, 340.0, 420.0], 80.0, 10.0], [$s->positionsMm, $s->spacingMm, $s->anchorErrorMm]);
        self::assertSame([[190.0], 0.0, 0.0], array_values((array) Spacing::even(20, 420, 1, 190)));
        self::assertNull(Spacing::even(0, 100, 3)->anchorErrorMm);
        // Sevenths do not come out even in a computer: the last one is where it was asked for all the same.
        self::assertSame(0.7, Spacing::even(0.1, 0.7, 8)->positionsMm[7]);
        $this->expectException(InvalidArgumentException::class);
        Spacing::even(100, 20, 3);
    }
}
