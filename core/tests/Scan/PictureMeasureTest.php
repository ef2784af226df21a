<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Scan\Perspective;
use OpenSeam\Core\Scan\PictureMeasure;
use PHPUnit\Framework\TestCase;

final class PictureMeasureTest extends TestCase
{
    /**
     * A camera over the table, worked out by hand: it looks down at an angle, turned, from half a metre.
     *
     * @return callable(float, float): array{float, float}
     */
    private static function camera(float $tilt, float $turn): callable
    {
        return function (float $x, float $y) use ($tilt, $turn): array {
            [$u, $v] = [$x * cos($turn) - $y * sin($turn), $x * sin($turn) + $y * cos($turn)];
            $depth = 500 + $v * sin($tilt);

            return [2000 * $u / $depth + 1500, 2000 * $v * cos($tilt) / $depth + 900];
        };
    }

    /** Points of known position, however the camera stands. */
    public function test_four_corners_undo_the_camera(): void
    {
        mt_srand(3);
        for ($round = 0; $round < 50; $round++) {
            $seen = self::camera(mt_rand(-60, 60) / 100, mt_rand(-300, 300) / 100);
            $view = Perspective::rectangle([$seen(0, 0), $seen(100, 0), $seen(100, 60), $seen(0, 60)], 100, 60);
            for ($i = 0; $i < 20; $i++) {
                [$x, $y] = [mt_rand(-500, 1500) / 10, mt_rand(-300, 900) / 10];
                [$u, $v] = $view->place($seen($x, $y));
                self::assertEqualsWithDelta($x, $u, 1e-6);
                self::assertEqualsWithDelta($y, $v, 1e-6);
            }
        }
    }

    public function test_lengths_and_allowance_from_clicked_points(): void
    {
        $seen = self::camera(0.4, 0.7);
        $view = Perspective::rectangle([$seen(0, 0), $seen(100, 0), $seen(100, 100), $seen(0, 100)], 100, 100);
        $needle = array_map(fn (int $i): array => $seen(40 + 0.02 * $i, 10 + 2.5 * $i), range(0, 16));
        $found = PictureMeasure::of($view, $needle, [$seen(55.9, 5), $seen(55.9, 40), $seen(55.9, 90)]);
        self::assertCount(16, $found->lengths);
        self::assertEqualsWithDelta(hypot(0.02, 2.5), (float) $found->length?->value, 1e-6);
        self::assertEqualsWithDelta(15.9 - 0.02 * 8, (float) $found->allowance?->value, 1e-6);
        self::assertEqualsWithDelta(40.0, $found->marks[16][0], 0.01);
        // A pixel either way on each end, over sixteen stitches.
        self::assertEqualsWithDelta(sqrt(2) * $view->pointU() / 16, (float) $found->length?->u, 1e-12);
        // An edge that runs across the picture is one as well.
        $across = PictureMeasure::of(Perspective::scale([0, 0], [1000, 0], 100), [[100, 200], [125, 200], [150, 200]], [[50, 359], [500, 359]]);
        self::assertEqualsWithDelta(15.9, (float) $across->allowance?->value, 1e-9);
        self::assertEqualsWithDelta(2.5, (float) $across->length?->value, 1e-9);
        // Nothing clicked, nothing said.
        $none = PictureMeasure::of(Perspective::scale([0, 0], [1000, 0], 100), []);
        self::assertSame([[], null, [], null], [$none->lengths, $none->length, $none->marks, $none->allowance]);
    }

    public function test_points_that_settle_nothing_are_named(): void
    {
        $scale = Perspective::scale([0, 0], [1000, 0], 100);
        foreach ([
            'scale' => fn () => Perspective::scale([5, 5], [6, 6], 100),
            'corners' => fn () => Perspective::rectangle([[0, 0], [10, 10], [20, 20], [0, 20]], 100, 100),
            'needle[1]' => fn () => PictureMeasure::of($scale, [[5, 5], [5, 5]]),
            'edge' => fn () => PictureMeasure::of($scale, [[5, 5]], [[9, 9], [9, 9]]),
        ] as $field => $wrong) {
            try {
                $wrong();
                self::fail("$field was taken.");
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
            }
        }
    }
}
