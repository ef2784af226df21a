<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Stitch\StitchSettings;

/**
 * How long a buttonhole is by the schools in use, side by side: common
 * practice, no source. None is right for every cloth: a test is always sewn.
 */
final readonly class LengthRules
{
    /** A quarter of an inch. */
    private const QUARTER_MM = 6.35;

    /** An eighth of an inch. */
    public const EIGHTH_MM = 3.175;

    /** From here on it is said that the schools differ. */
    public const DIFFER_MM = 3.0;

    /** All of them; the last one where the lines of a slider are known. */
    public const IDS = ['diameter-plus-quarter', self::FLAT, 'button-in-foot', 'marked-width', 'half-wrap', 'slider-lines'];

    /** For flat buttons; it agrees with half the way round and two bars, for an eighth is about that. */
    public const FLAT = 'diameter-thickness-eighth';

    /** For domes and balls: half the way round, and a bar at each end. */
    public const ROUND = 'wrap-and-bars';

    /** @param  array<string, array{length: float, suits: bool}>  $rules  by id; whether the rule is meant for such a button */
    private function __construct(public array $rules, public string $recommended, private float $recommendedMm) {}

    /** @param  float|null  $lineMm  distance of the lines on the foot's slider, where it has one: the button is counted in lines, and half a line is added */
    public static function of(Button $b, ?float $lineMm = null): self
    {
        $flat = $b->shape === ButtonShape::Flat;

        $rules = [
            'diameter-plus-quarter' => ['length' => $b->diameterMm + self::QUARTER_MM, 'suits' => true],
            'diameter-thickness-eighth' => ['length' => $b->diameterMm + $b->thicknessMm + self::EIGHTH_MM, 'suits' => true],
            // The foot holds the diameter alone; for what is not flat the thickness is added by hand.
            'button-in-foot' => ['length' => $b->diameterMm + ($flat ? 0.0 : $b->thicknessMm), 'suits' => true],
            'marked-width' => ['length' => $b->diameterMm, 'suits' => $flat],
            'half-wrap' => ['length' => $b->halfWrapMm(), 'suits' => true],
        ] + ($lineMm === null ? [] : ['slider-lines' => ['length' => (round($b->diameterMm / $lineMm) + 0.5) * $lineMm, 'suits' => true]]);

        return $flat ? new self($rules, self::FLAT, $rules[self::FLAT]['length']) : new self($rules, self::ROUND, $b->halfWrapMm() + 2 * StitchSettings::BAR_MM);
    }

    public function spreadMm(): float
    {
        $lengths = array_column($this->rules, 'length');

        return $lengths === [] ? 0.0 : max($lengths) - min($lengths);
    }

    public function recommendedMm(): float
    {
        return $this->recommendedMm;
    }
}
