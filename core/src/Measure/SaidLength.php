<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use OpenSeam\Core\Near;

/**
 * Lengths within the words of a lesson, in the reader's unit. They stand in
 * braces in the curriculum: "stop every {50 mm}". What has another name on an
 * inch ruler says so: "{15.9 mm|5/8 in}". What is not in braces stays: stitch
 * lengths and widths are set in millimetres on every dial, on both sides of
 * the sea.
 *
 * A length that is sewn along is said as a ruler is read, within 3 %: 50 mm are
 * 2 in. A bound ("{15.9 mm ±1; ±2 near}") is said to the nearest sixteenth, or,
 * where that would say something else than what is judged, in decimals.
 */
final class SaidLength
{
    private const TOKEN = '/\{(?|([^{}|]*)\|([^{}|]*)|([^{}|]*\d ?(?:mm|cm)\b[^{}|]*)())\}/u';

    private const NUMBER = '/\d+(?:\.\d+)?/';

    /** How far a length that is only sewn along may be from what is said. */
    private const ABOUT = 0.03;

    /** How far a bound may be from its fraction: a small one by a part of itself, others in mm. */
    private const NEAR = 0.1;

    private const NEAR_MM = 0.25;

    /** Below that a ruler is read in halves of a sixteenth. */
    private const SMALL_MM = 8.0;

    public static function in(string $text, Unit $unit): string
    {
        return ! str_contains($text, '{') ? $text : (string) preg_replace_callback(
            self::TOKEN,
            fn (array $m): string => $unit === Unit::Millimetre ? $m[1] : ($m[2] === '' ? self::inches($m[1]) : $m[2]),
            $text,
        );
    }

    /** A length that somebody sews along, as it is said in inches: "2", "4 3/4", "1/4". */
    public static function about(float $mm): string
    {
        $inches = $mm / Length::MM_PER_INCH;
        foreach ([1, 2, 4, 8] as $parts) {
            $near = round($inches * $parts) / $parts;
            if ($near > 0 && abs($near - $inches) <= self::ABOUT * $inches) {
                return Fraction::of((int) round($near * $parts), $parts);
            }
        }

        return self::exactly($mm);
    }

    /** A bound in inches: to the sixteenth where that says the same, else to half of one, a small one in decimals. */
    public static function exactly(float $mm): string
    {
        $inches = $mm / Length::MM_PER_INCH;
        $within = $mm < self::SMALL_MM ? self::NEAR * $mm : self::NEAR_MM;
        foreach ([16, 32] as $parts) {
            $near = round($inches * $parts) / $parts;
            if (abs($near - $inches) * Length::MM_PER_INCH <= $within || ($parts === 32 && $mm >= self::SMALL_MM)) {
                return Fraction::of((int) round($near * $parts), $parts);
            }
        }

        return number_format($inches, 2, '.', '');
    }

    /** Rounded up to the next eighth: "3 1/8". */
    public static function eighths(float $count): string
    {
        return Fraction::of((int) ceil($count * 8 - Near::DUST), 8);
    }

    private static function inches(string $said): string
    {
        $scale = preg_match('/\d ?(cm)\b/', $said) === 1 ? 10.0 : 1.0;
        $bound = str_contains($said, ';') || str_contains($said, '±');

        return (string) preg_replace_callback(
            self::NUMBER,
            fn (array $m): string => $bound ? self::exactly((float) $m[0] * $scale) : self::about((float) $m[0] * $scale),
            (string) preg_replace('/\b(?:mm|cm)\b/', 'in', $said),
        );
    }
}
