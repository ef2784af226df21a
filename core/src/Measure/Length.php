<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use JsonSerializable;

/**
 * A length, kept in millimetres without rounding. 0 to 100,000 mm (100 m, a
 * bolt of cloth). 1 in = 25.4 mm exactly (international inch, 1959).
 */
final readonly class Length implements JsonSerializable
{
    public const MM_PER_INCH = 25.4;

    public const METRES_PER_YARD = 0.9144;

    public const LONGEST_MM = 100_000.0;

    /** Rulers in the workroom are divided into sixteenths. */
    private const PARTS = 16;

    private function __construct(private float $mm) {}

    /** @throws NotALength below 0, above 100,000 mm, or not finite */
    public static function mm(float $mm): self
    {
        if (! is_finite($mm) || $mm < 0 || $mm > self::LONGEST_MM) {
            throw NotALength::outOfRange($mm);
        }

        return new self($mm === 0.0 ? 0.0 : $mm);
    }

    /** @throws NotALength as for mm() */
    public static function inches(float|string $inches): self
    {
        return is_string($inches) ? self::parse($inches, Unit::Inch) : self::mm($inches * self::MM_PER_INCH);
    }

    /**
     * Reads what a person types: "15.9", "15,9", "5/8", "1 1/2", "1½", with or
     * without "mm", "cm", "in" or an inch mark. A unit typed wins over $unit.
     *
     * @throws NotALength when it cannot be read or is out of range
     */
    public static function parse(string $typed, Unit $unit): self
    {
        [$number, $mmPerUnit] = self::splitUnit(Typed::plain($typed), $unit);
        $number = preg_replace_callback('/(\d*)\s*([½¼¾⅛⅜⅝⅞])/u', fn (array $m): string => trim($m[1].' '.self::VULGAR[$m[2]]), $number) ?? '';

        if (preg_match('/^[-−]\s*(.+)$/u', $number, $m) === 1) {
            // A minus sign is understood, so that the answer can name the number.
            throw NotALength::outOfRange(-self::value($m[1], $typed) * $mmPerUnit);
        }

        return self::mm(self::value($number, $typed) * $mmPerUnit);
    }

    public function inMm(): float
    {
        return $this->mm;
    }

    public function inInches(): float
    {
        return $this->mm / self::MM_PER_INCH;
    }

    /** The nearest sixteenth of an inch as a tailor writes it: "0", "5/8", "1 1/2". */
    public function asInchFraction(): string
    {
        return Fraction::of($this->sixteenths(), self::PARTS);
    }

    /** What the nearest sixteenth leaves over, in mm; negative when the sixteenth is longer. */
    public function leftoverMm(): float
    {
        return $this->mm - $this->sixteenths() * self::MM_PER_INCH / self::PARTS;
    }

    public function jsonSerialize(): float
    {
        return $this->mm;
    }

    private function sixteenths(): int
    {
        return (int) round($this->mm * self::PARTS / self::MM_PER_INCH);
    }

    private const VULGAR = ['½' => '1/2', '¼' => '1/4', '¾' => '3/4', '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8'];

    /** @return array{string, float} the bare number and the mm in one unit of it */
    private static function splitUnit(string $typed, Unit $unit): array
    {
        $text = trim($typed);
        if (preg_match('/^(.*?)\s*(mm|cm|inches|inch|in\.?|"|″|”)$/ui', $text, $m) === 1) {
            return [trim($m[1]), match (mb_strtolower($m[2])) {
                'mm' => 1.0,
                'cm' => 10.0,
                default => self::MM_PER_INCH,
            }];
        }

        return [$text, $unit === Unit::Inch ? self::MM_PER_INCH : 1.0];
    }

    private static function value(string $number, string $typed): float
    {
        if (preg_match('/^\d{1,9}([.,]\d{1,12})?$/', $number) === 1 || preg_match('/^[.,]\d{1,12}$/', $number) === 1) {
            return (float) str_replace(',', '.', $number);
        }
        if (preg_match('#^(?:(\d{1,6})(?:\s+|\s*[-+]\s*))?(\d{1,4})\s*[/⁄]\s*(\d{1,4})$#u', $number, $m) === 1) {
            if ((int) $m[3] === 0) {
                throw NotALength::zeroDenominator($typed);
            }

            return (int) $m[1] + (int) $m[2] / (int) $m[3];
        }
        throw NotALength::unreadable($typed);
    }
}
