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

    /**
     * @return list<Point>
     *
     * @throws InputError when the bars leave nothing to cut
     */
    public static function points(StitchSettings $s, float $rowMm): array
    {
        $bar = $s->stitches * $s->lengthMm;
        $far = match ($s->kind->end) {
            'round' => $s->widthMm / 2,
            'keyhole' => $s->widthMm * self::EYE,
            default => $bar,
        };
        $shortest = $bar + $far + 2 * $s->lengthMm;
        if ($rowMm < $shortest) {
            throw InputError::at('row_mm', $rowMm, sprintf('With these bars a buttonhole is at least %.1f mm long: a longer one, fewer bar stitches or closer ones.', $shortest));
        }
        $inner = $s->gapMm / 2;
        $outer = $s->widthMm / 2;
        $turn = $rowMm - $far;

        return array_map(
            fn (array $p): array => [$p[0], $p[1] + $s->positionMm],
            [
                ...self::zigzag($bar, $turn, $s->lengthMm, -$outer, -$inner),
                ...match ($s->kind->end) {
                    'round' => self::fan($turn, 0.0, $inner, $outer, M_PI, $s->lengthMm),
                    'keyhole' => self::fan($rowMm - $s->widthMm * self::EYE / 2, 0.0, $outer * 0.55, $outer * self::EYE, 1.6 * M_PI, $s->lengthMm),
                    default => self::zigzag($turn, $rowMm, $s->lengthMm, -$outer, $outer),
                },
                ...self::zigzag($turn, $bar, $s->lengthMm, $outer, $inner),
                ...self::zigzag($bar, 0.0, $s->lengthMm, -$outer, $outer),
            ],
        );
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
