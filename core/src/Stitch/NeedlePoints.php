<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/**
 * Where the needle goes down along a row, in sewing order: [along, across] in
 * mm, along from the start of the row, across from the centre needle position,
 * left negative. Every picture and print of a stitch is drawn from this.
 *
 * @phpstan-type Point array{float, float}
 */
final class NeedlePoints
{
    public const LONGEST_ROW_MM = 10_000.0;

    /** More than this is no row but a mistake in a number. */
    public const MOST_POINTS = 50_000;

    /**
     * @param  float  $rowMm  length of the row, above 0, at most 10,000 mm; of a buttonhole its finished length
     * @return list<Point>
     *
     * @throws InputError when the row is out of range or has more than 50,000 points
     */
    public static function along(StitchSettings $settings, float $rowMm): array
    {
        if (! is_finite($rowMm) || $rowMm <= 0 || $rowMm > self::LONGEST_ROW_MM) {
            throw InputError::at('row_mm', is_finite($rowMm) ? $rowMm : null, sprintf('A row is longer than 0 and at most %d mm.', self::LONGEST_ROW_MM));
        }
        if ($settings->kind->generator !== 'button' && $rowMm / $settings->lengthMm * 2 > self::MOST_POINTS) {
            throw InputError::at('row_mm', $rowMm, sprintf('That is more than %d stitches: a shorter row or a longer stitch.', self::MOST_POINTS / 2));
        }

        return match ($settings->kind->generator) {
            'buttonhole' => Buttonhole::points($settings, $rowMm),
            'button' => self::button($settings),
            default => self::pattern($settings, $rowMm),
        };
    }

    /** @return list<Point> */
    private static function pattern(StitchSettings $settings, float $rowMm): array
    {
        $kind = $settings->kind;
        $half = $settings->widthMm / 2;
        $length = $settings->lengthMm;
        $cycle = count($kind->strokes);
        $points = [[0.0, $settings->positionMm + $kind->start * $half]];
        // Feed is counted in strokes and multiplied once, so that no rounding adds up along the row.
        for ($i = 0, $fed = 0.0; count($points) <= self::MOST_POINTS; $i++) {
            [$feed, $across] = $kind->strokes[$i % $cycle];
            $fed += $feed;
            if ($fed * $length > $rowMm + Near::DUST) {
                break;
            }
            $points[] = [$fed * $length, $settings->positionMm + $across * $half];
        }

        return $points;
    }

    /** @return list<Point> */
    private static function button(StitchSettings $settings): array
    {
        $points = [];
        for ($i = 0; $i <= $settings->stitches; $i++) {
            $points[] = [0.0, $settings->positionMm + ($i % 2 === 0 ? -1 : 1) * $settings->widthMm / 2];
        }

        return $points;
    }

    /**
     * Length of thread path from point to point, mm.
     *
     * @param  list<Point>  $points
     */
    public static function pathMm(array $points): float
    {
        $sum = 0.0;
        for ($i = 1; $i < count($points); $i++) {
            $sum += hypot($points[$i][0] - $points[$i - 1][0], $points[$i][1] - $points[$i - 1][1]);
        }

        return $sum;
    }
}
