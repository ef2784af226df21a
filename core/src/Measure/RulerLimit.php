<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/**
 * How closely a length was read, from how it was typed: half of what could be
 * told apart, and never below what laying the ruler leaves (JCGM 100:2008,
 * F.2.2.1; what a ruler leaves: common practice, no source). Half-widths in mm.
 */
final class RulerLimit
{
    /** Its limit said beside a length, with its unit or in that of the length; nothing yet is a beginning. */
    private const SAID = '/±\s*(\d{0,3}(?:[.,]\d{1,6})?)\s*(mm|in|″|")?$/iu';

    /** Whole millimetres: half of one, and the laying. */
    private const WHOLE_MM = 0.7;

    /** A ruler with sixteenths: eighths and quarters are read on it too. */
    private const COARSEST_PARTS = 16;

    /**
     * The values of one reading, which are read with one ruler: the finest of them tells which.
     *
     * @param  list<string>  $typed  lengths as they were typed; empty ones are not read yet
     * @param  Unit  $unit  of lengths typed without one
     * @param  float  $tool  half-width of the tool the reading asks for: 0.5 is a ruler, less a magnifier
     */
    public static function of(array $typed, Unit $unit, float $tool = Reading::RULER_LIMIT_MM): ?float
    {
        $limits = array_map(fn (string $t): float => self::one($t, $unit, $tool), array_values(array_filter(array_map(trim(...), $typed), fn (string $t): bool => $t !== '')));

        return $limits === [] ? null : min($limits);
    }

    /** What stands behind ± is no number: neither a limit nor the beginning of one. */
    public static function isUnreadable(string $typed): bool
    {
        return str_contains($typed, '±') && preg_match(self::SAID, trim($typed)) !== 1;
    }

    private static function isInches(string $typed, Unit $unit): bool
    {
        return preg_match('/(mm|cm)$/i', $typed) !== 1 && ($unit === Unit::Inch || preg_match('/(in\.?|inch|inches|"|″|”)$/iu', $typed) === 1);
    }

    private static function one(string $typed, Unit $unit, float $tool): float
    {
        $value = trim((string) preg_replace('/±.*$/u', '', $typed));
        $inches = self::isInches($value, $unit);
        // Said beside it, as a picture does: 15.93 ±0.12; in the unit of the length unless it says its own.
        if (preg_match(self::SAID, $typed, $m) === 1 && $m[1] !== '') {
            $said = self::isInches($m[2] ?? '', $inches ? Unit::Inch : Unit::Millimetre) ? Length::MM_PER_INCH : 1.0;

            return max(0.01, (float) str_replace(',', '.', $m[1]) * $said);
        }
        if ($inches) {
            $decimal = preg_match('/\d[.,]\d/', $typed) === 1;
            $parts = preg_match('#[/⁄]\s*(\d+)#u', $typed, $d) === 1 ? max(self::COARSEST_PARTS, (int) $d[1]) : self::COARSEST_PARTS;

            return $decimal ? $tool : max(min($tool, Reading::RULER_LIMIT_MM), $parts > self::COARSEST_PARTS ? Reading::RULER_LIMIT_MM : Length::MM_PER_INCH / $parts / 2);
        }
        // A magnifier's scale is read to its own mark, whatever number comes out.
        if ($tool < Reading::RULER_LIMIT_MM) {
            return $tool;
        }
        $places = preg_match('/[.,](\d+)/', $typed, $m) === 1 ? strlen($m[1]) : 0;

        return $places > (preg_match('/cm$/i', $typed) === 1 ? 1 : 0) ? $tool : max($tool, self::WHOLE_MM);
    }
}
