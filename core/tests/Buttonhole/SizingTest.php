<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Buttonhole;

use OpenSeam\Core\Buttonhole\Button;
use OpenSeam\Core\Buttonhole\ButtonShape;
use OpenSeam\Core\Buttonhole\ButtonSwing;
use OpenSeam\Core\Buttonhole\Passing;
use OpenSeam\Core\Buttonhole\Sizing;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The chain from a button to what is set; worked values of the design paper, geometry, and common practice without a source. */
final class SizingTest extends TestCase
{
    private const BUTTON = ['shape' => 'flat', 'diameter_mm' => 15, 'thickness_mm' => 3];

    public function test_a_flat_button_by_each_way(): void
    {
        $by = fn (array $more): array => Registry::standard()->get('size-buttonhole')->run(Data::of($more + self::BUTTON));
        $marks = $by(['way' => 'marks']);
        self::assertSame([18.0, false, 18.0, 21.0, ['mm' => 21.0], null], [$marks['half_wrap_mm'], $marks['estimated'], $marks['opening_mm'], $marks['finished_mm'], $marks['set'], $marks['fits']]);
        $slider = $by(['way' => 'slider', 'line_mm' => 3.175, 'longest_mm' => 27])['set'];
        self::assertEqualsWithDelta([21.0, 6.5, 20.6375, -0.3625], array_values($slider), 1e-9);
        self::assertSame(6.0, $by(['way' => 'button-in-foot'])['set']['add_mm']);
        // Its holes get 0.8 mm longer than they are set: so much less is set, to its step of half a millimetre.
        self::assertEqualsWithDelta([20.0, 20.8, -0.2], array_values($by(['way' => 'typed', 'step_mm' => 0.5, 'offset_mm' => 0.8])['set']), 1e-9);
        self::assertEqualsWithDelta(5.2, $by(['way' => 'button-in-foot', 'offset_mm' => 0.8])['set']['add_mm'], 1e-9);
        self::assertSame([true, false], [$by(['way' => 'by-hand', 'longest_mm' => 21])['fits'], $by(['way' => 'by-hand', 'longest_mm' => 20.9])['fits']]);
        // Wider bars take nothing from the opening: the whole gets longer.
        self::assertSame([18.0, 22.0], [$by(['way' => 'marks', 'bar_mm' => 2])['opening_mm'], $by(['way' => 'marks', 'bar_mm' => 2])['finished_mm']]);
    }

    public function test_the_schools_side_by_side(): void
    {
        $schools = array_column(Sizing::of(Button::of(ButtonShape::Flat, 15, 3), lineMm: 3.175)->schools, null, 'id');
        self::assertSame(['diameter-plus-quarter', 'diameter-thickness-eighth', 'button-in-foot', 'marked-width', 'half-wrap', 'slider-lines'], array_keys($schools));
        self::assertSame([18.0, 15.0, 'will-not-pass'], [$schools['half-wrap']['finished_mm'], $schools['half-wrap']['opening_mm'], $schools['half-wrap']['passes']]);
        self::assertEqualsWithDelta([21.175, 18.175], [$schools['diameter-thickness-eighth']['finished_mm'], $schools['diameter-thickness-eighth']['opening_mm']], 1e-9);
        self::assertSame('passes', $schools['diameter-thickness-eighth']['passes']);
        $ball = Sizing::of(Button::of(ButtonShape::Ball, 12, 12));
        self::assertEqualsWithDelta([18.85, 21.85], [$ball->halfWrapMm, $ball->finishedMm], 0.005);
        // A class that follows a school gets its length, and hears what passes.
        $followed = Sizing::of(Button::of(ButtonShape::Flat, 15, 3), school: 'diameter-plus-quarter');
        self::assertEqualsWithDelta([21.35, 18.35], [$followed->finishedMm, $followed->openingMm], 1e-9);
    }

    /**
     * A button goes through exactly when the opening laid flat is as long as half the way round it: a slit of length O opens to a loop
     * of 2·O at most, and the button's own outline is that long. Drawn as polygons of many corners here, and measured round.
     */
    #[DataProvider('drawn')]
    public function test_a_drawn_button_passes_exactly_when_the_slit_is_as_long_as_half_its_outline(ButtonShape $shape, float $d, float $t): void
    {
        $outline = self::outline($shape, $d, $t);
        $half = Button::of($shape, $d, $t)->halfWrapMm();
        self::assertEqualsWithDelta($outline / 2, $half, $half * 1e-4);
        self::assertSame(Passing::Passes, Passing::of($outline / 2 + 0.001 * $half, $half));
        self::assertSame(Passing::Tight, Passing::of($outline / 2 - 0.3, $half));
        self::assertSame(Passing::WillNotPass, Passing::of($outline / 2 - 0.6, $half));
    }

    /** @return iterable<array{ButtonShape, float, float}> */
    public static function drawn(): iterable
    {
        foreach ([8.0, 11.5, 15.0, 18.0, 23.0, 34.0] as $d) {
            yield [ButtonShape::Ball, $d, $d];
            foreach ([0.1, 0.2, 0.35] as $share) {
                yield [ButtonShape::Flat, $d, $d * $share];
                yield [ButtonShape::Domed, $d, $d * $share];
            }
        }
    }

    /** The way round its section, corner by corner. */
    private static function outline(ButtonShape $shape, float $d, float $t): float
    {
        $corners = [];
        if ($shape === ButtonShape::Flat) {
            $corners = [[0, 0], [$d, 0], [$d, $t], [0, $t]];
        } else {
            // A ball from all round, a dome from its chord up.
            $radius = $shape === ButtonShape::Ball ? $d / 2 : ($d * $d / 4 + $t * $t) / (2 * $t);
            $from = $shape === ButtonShape::Ball ? 0.0 : M_PI / 2 - asin($d / 2 / $radius);
            $to = $shape === ButtonShape::Ball ? 2 * M_PI : M_PI - $from;
            for ($i = 0; $i <= 2000; $i++) {
                $angle = $from + ($to - $from) * $i / 2000;
                $corners[] = [$radius * cos($angle), $radius * sin($angle)];
            }
        }
        $long = 0.0;
        foreach ($corners as $i => [$x, $y]) {
            [$u, $v] = $corners[($i + 1) % count($corners)];
            $long += hypot($u - $x, $v - $y);
        }

        return $long;
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('askedBack')]
    public function test_what_cannot_be_is_asked_back(array $more, string $field): void
    {
        try {
            Registry::standard()->get('size-buttonhole')->run(Data::of($more + ['way' => 'marks'] + self::BUTTON));
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function askedBack(): iterable
    {
        yield 'half the wrap in place of the whole' => [['wrap_mm' => 18], 'wrap_mm'];
        yield 'a wrap of another button' => [['wrap_mm' => 95], 'wrap_mm'];
        yield 'a ball that is not round' => [['shape' => 'ball', 'thickness_mm' => 9], 'thickness_mm'];
        yield 'no thickness' => [['thickness_mm' => null, 'shape' => 'domed'], 'thickness_mm'];
        yield 'a slider without its lines' => [['way' => 'slider'], 'line_mm'];
        yield 'an offset larger than the hole' => [['offset_mm' => 21], 'offset_mm'];
        yield 'bars that leave nothing of a school' => [['school' => 'marked-width', 'bar_mm' => 8], 'school'];
    }

    /** Spacing 3.4, holes of 1.8 and a needle of 0.8 mm on a dial of half millimetres: the worked value of the design paper. */
    public function test_the_swing_of_a_button(): void
    {
        $swing = ButtonSwing::of(2, 3.4, 1.8, 0.8, 0.5, 5.0);
        self::assertEqualsWithDelta([3.5, 0.45], [$swing->widthMm, $swing->marginMm], 1e-9);
        self::assertSame(['clear', ['one-pair']], [$swing->verdict, $swing->patterns]);
        self::assertSame('close', ButtonSwing::of(2, 3.4, 1.4, 0.8, 0.5, 5.0)->verdict);
        self::assertSame(['strike', []], [ButtonSwing::of(2, 3.4, 0.8, 0.9, 0.0, 5.0)->verdict, ButtonSwing::of(2, 3.4, 0.8, 0.9, 0.0, 5.0)->patterns]);
        // A dial that does not reach: the nearest it has, and it strikes.
        $far = ButtonSwing::of(2, 6.0, 1.6, 0.8, 0.5, 4.7);
        self::assertSame([4.5, 'strike'], [$far->widthMm, $far->verdict]);
        // From corner to corner of a square of 2.8 it is 3.96 mm: within a swing of 5, beyond one of 2.9.
        self::assertSame(['two-rows-across', 'two-rows-along', 'cross'], ButtonSwing::of(4, 2.8, 1.8, 0.8, 0.5, 5.0)->patterns);
        self::assertSame(['two-rows-across', 'two-rows-along'], ButtonSwing::of(4, 2.8, 1.8, 0.8, 0.5, 2.9)->patterns);
    }
}
