<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Near;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\ValueRefused;

/**
 * The three lengths of a buttonhole, which the trade mixes up: the opening that
 * is cut, the finished length over both bars, and what machine, foot or marks
 * are set to. Common practice, no source; lengths in mm.
 */
final readonly class Sizing
{
    /** A bar, where this machine's own were not measured yet; ours to start from. */
    public const BAR_MM = StitchSettings::BAR_MM;

    /** Lines of a slider, where it is not known: an eighth of an inch; common practice, no source. */
    public const LINE_MM = LengthRules::EIGHTH_MM;

    /** A ball is as thick as it is wide, but for the ruler. */
    private const BALL_MM = 0.5;

    /** Half round what is no hat: beyond that something was measured wrongly. */
    private const MOST_WRAPS = 3.0;

    /** @param  list<array{id: string, finished_mm: float, opening_mm: float, passes: string}>  $schools */
    private function __construct(
        public float $halfWrapMm,
        public bool $estimated,
        public float $openingMm,
        public float $finishedMm,
        public float $barMm,
        /** Of the slider that schools count by. */
        public float $lineMm,
        public array $schools,
    ) {}

    /**
     * @param  float  $easeMm  added to the half wrap, 0 to 10
     * @param  float|null  $lineMm  distance of the slider's lines
     * @param  string|null  $school  id of a rule of LengthRules that a class follows instead of the chain
     *
     * @throws ValueRefused when the measures cannot be those of such a button, or there is no such school
     */
    public static function of(Button $button, float $easeMm = 0.0, float $barMm = self::BAR_MM, ?float $lineMm = null, ?string $school = null): self
    {
        $half = $button->halfWrapMm();
        $line = $lineMm ?? self::LINE_MM;
        $schools = [];
        foreach (LengthRules::of($button, $line)->rules as $id => $rule) {
            $opening = $rule['length'] - 2 * $barMm;
            $schools[$id] = ['id' => $id, 'finished_mm' => $rule['length'], 'opening_mm' => $opening, 'passes' => Passing::of($opening, $half)->value];
        }
        $school === null || isset($schools[$school]) || throw new ValueRefused('Schools are: '.implode(', ', array_keys($schools)).'.');
        $opening = $school === null ? $half + $easeMm : $schools[$school]['opening_mm'];
        $opening > 0 || throw new ValueRefused(sprintf('By this school the two bars of %g mm leave nothing to cut.', $barMm));

        return new self($half, $button->isEstimated(), $opening, $school === null ? $opening + 2 * $barMm : $schools[$school]['finished_mm'], $barMm, $line, array_values($schools));
    }

    /**
     * What cannot be, asked back: a wrap of over three times the diameter for half the way, and a ball that is not round.
     *
     * @throws ValueRefused
     */
    public static function askBack(Button $button): void
    {
        if ($button->shape === ButtonShape::Ball && abs($button->thicknessMm - $button->diameterMm) > self::BALL_MM + Near::DUST) {
            throw new ValueRefused(sprintf('A ball is as thick as it is wide: %g mm across and %g mm through is no ball. Measure again, or call it domed.', $button->diameterMm, $button->thicknessMm));
        }
        if ($button->wrapMm !== null && $button->wrapMm > 2 * self::MOST_WRAPS * $button->diameterMm + Near::DUST) {
            throw new ValueRefused(sprintf('The whole way round is over six times the diameter: %g mm at most is believable here. Measure again.', 2 * self::MOST_WRAPS * $button->diameterMm));
        }
    }
}
