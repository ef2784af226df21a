<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/**
 * How long a buttonhole is by the five schools in use, side by side: common
 * practice, no source. None is right for every cloth: a test is always sewn.
 */
final readonly class LengthRules
{
    /** A quarter of an inch. */
    private const QUARTER_MM = 6.35;

    /** An eighth of an inch, as the trade rounds it. */
    private const EIGHTH_MM = 3.2;

    /** From here on it is said that the schools differ. */
    public const DIFFER_MM = 3.0;

    public const RECOMMENDED = 'diameter-thickness-eighth';

    /** @param  array<string, array{length: float, suits: bool}>  $rules  by id; whether the rule is meant for such a button */
    private function __construct(public array $rules) {}

    public static function of(Button $b): self
    {
        $flat = $b->shape === ButtonShape::Flat;

        return new self([
            'diameter-plus-quarter' => ['length' => $b->diameterMm + self::QUARTER_MM, 'suits' => true],
            'diameter-thickness-eighth' => ['length' => $b->diameterMm + $b->thicknessMm + self::EIGHTH_MM, 'suits' => true],
            // The foot holds the diameter alone; for what is not flat the thickness is added by hand.
            'button-in-foot' => ['length' => $b->diameterMm + ($flat ? 0.0 : $b->thicknessMm), 'suits' => true],
            'marked-width' => ['length' => $b->diameterMm, 'suits' => $flat],
            'half-wrap' => ['length' => $b->halfWrapMm(), 'suits' => true],
        ]);
    }

    public function spreadMm(): float
    {
        $lengths = array_column($this->rules, 'length');

        return $lengths === [] ? 0.0 : max($lengths) - min($lengths);
    }

    public function recommendedMm(): float
    {
        return $this->rules[self::RECOMMENDED]['length'] ?? 0.0;
    }
}
