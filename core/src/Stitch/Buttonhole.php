<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\InputError;

/**
 * The needle points of a buttonhole in the order most machines sew it: left
 * side, bar or rounded end, right side back, bar. The finished length takes in
 * both bars; the cut lies between them.
 *
 * @phpstan-type Point array{float, float}
 */
final class Buttonhole
{
    /** A keyhole's eye is so much wider than the rest. */
    private const EYE = 1.4;

    /** Length of the straight stitches that some machines sew first; common practice, no source. */
    private const STRAIGHT_MM = 2.0;

    /** A cord's loop lies so far beyond the end that is sewn first, and its ends beyond the other; common practice, no source. */
    private const CORD_BEYOND_MM = 3.0;

    /**
     * @return list<Point>
     *
     * @throws InputError when the bars leave nothing to cut
     */
    public static function points(StitchSettings $s, float $rowMm): array
    {
        return array_merge(...array_values(self::parts($s, $rowMm)));
    }

    /**
     * The same, part by part in the order in which they are sewn.
     *
     * @return array<string, list<Point>>
     *
     * @throws InputError when the bars leave nothing to cut
     */
    public static function parts(StitchSettings $s, float $rowMm): array
    {
        $bar = $s->barMm;
        $far = match ($s->kind->end) {
            'round' => $s->widthMm / 2,
            'keyhole' => $s->widthMm * self::EYE,
            default => $bar,
        };
        $shortest = $bar + $far + 2 * $s->lengthMm;
        if ($rowMm < $shortest) {
            throw InputError::at('row_mm', $rowMm, sprintf('With these bars a buttonhole is at least %.1f mm long: a longer one, or shorter bars.', $shortest));
        }
        $inner = $s->gapMm / 2;
        $outer = $s->widthMm / 2;
        $turn = $rowMm - $far;

        $parts = [
            'straight' => $s->straightFirst ? [...self::straight($bar, $turn, -($outer + $inner) / 2), ...self::straight($turn, $bar, ($outer + $inner) / 2)] : [],
            'side-1' => self::zigzag($bar, $turn, $s->lengthMm, -$outer, -$inner),
            'bar-1' => match ($s->kind->end) {
                'round' => self::fan($turn, 0.0, $inner, $outer, M_PI, $s->lengthMm),
                'keyhole' => self::fan($rowMm - $s->widthMm * self::EYE / 2, 0.0, $outer * 0.55, $outer * self::EYE, 1.6 * M_PI, $s->lengthMm),
                default => self::bar($turn, $rowMm, self::swings($s), $outer),
            },
            'side-2' => self::zigzag($turn, $bar, $s->lengthMm, $outer, $inner),
            'bar-2' => self::bar($bar, 0.0, self::swings($s), $outer),
        ];

        return array_map(fn (array $points): array => self::placed($s, $rowMm, $points), $parts);
    }

    /** Swings of a bar: an open one goes on by the length of the sides, so that it gives with the cloth. */
    public static function swings(StitchSettings $s): int
    {
        return $s->openBars ? max(2, (int) round($s->barMm / $s->lengthMm)) : $s->stitches;
    }

    /**
     * The way of a cord under both sides: its loop over the spur, beyond the end that is sewn first, and out at the other.
     *
     * @return list<Point>
     */
    public static function cord(StitchSettings $s, float $rowMm): array
    {
        $beside = ($s->widthMm + $s->gapMm) / 4;
        [$loop, $out] = [-self::CORD_BEYOND_MM, $rowMm + self::CORD_BEYOND_MM];

        return self::placed($s, $rowMm, [[$out, -$beside], [$loop, -$beside], [$loop, $beside], [$out, $beside]]);
    }

    /**
     * Begun at the back it is the same hole from its other end: what was left is right, seen along the way it is sewn.
     *
     * @param  list<Point>  $points
     * @return list<Point>
     */
    private static function placed(StitchSettings $s, float $rowMm, array $points): array
    {
        return array_map(fn (array $p): array => $s->startsAtBack ? [$rowMm - $p[0], $s->positionMm - $p[1]] : [$p[0], $p[1] + $s->positionMm], $points);
    }

    /**
     * @return list<Point>
     */
    private static function zigzag(float $from, float $to, float $length, float $first, float $second): array
    {
        $strokes = max(2, (int) round(abs($to - $from) / $length));
        $points = [];
        for ($i = 0; $i <= $strokes; $i++) {
            $points[] = [$from + ($to - $from) * $i / $strokes, $i % 2 === 0 ? $first : $second];
        }

        return $points;
    }

    /**
     * Swings across both sides, on nearly the same spot.
     *
     * @return list<Point>
     */
    private static function bar(float $from, float $to, int $swings, float $outer): array
    {
        $points = [];
        for ($i = 0; $i <= $swings; $i++) {
            $points[] = [$from + ($to - $from) * $i / $swings, $i % 2 === 0 ? -$outer : $outer];
        }

        return $points;
    }

    /**
     * A row of straight stitches, to measure the hole by.
     *
     * @return list<Point>
     */
    private static function straight(float $from, float $to, float $across): array
    {
        $stitches = max(1, (int) round(abs($to - $from) / self::STRAIGHT_MM));

        return array_map(fn (int $i): array => [$from + ($to - $from) * $i / $stitches, $across], range(0, $stitches));
    }

    /**
     * Stitches that radiate round an end, from the left over the far side to the right.
     *
     * @return list<Point>
     */
    private static function fan(float $along, float $across, float $inner, float $outer, float $sweep, float $length): array
    {
        $strokes = max(6, (int) round($sweep * $outer / (1.5 * $length)));
        $points = [];
        for ($i = 0; $i <= $strokes; $i++) {
            $angle = -$sweep / 2 + $sweep * $i / $strokes;
            $r = $i % 2 === 0 ? $outer : $inner;
            $points[] = [$along + $r * cos($angle), $across + $r * sin($angle)];
        }

        return $points;
    }
}
