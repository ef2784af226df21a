<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Stitch\StitchKind;
use OpenSeam\Core\Stitch\StitchSettings;

/**
 * What to set on one machine to sew what another sews: its own number of the
 * stitch, the width, and the length as its dial means it (for each stroke, or
 * for the whole zigzag).
 */
final readonly class DialTranslator
{
    private function __construct(
        public bool $possible,
        /** Its own number or letter of the stitch; empty when it has no name for it. */
        public string $stitch,
        public float $widthDial,
        public float $lengthDial,
        /** What comes out, less what was asked, mm. */
        public float $widthOffMm,
        public float $lengthOffMm,
        /** The mark of the nearest fixed zigzag, where width is not free. */
        public string $fixed,
    ) {}

    public static function to(Machine $m, StitchSettings $asked): self
    {
        if (! $m->has($asked->kind->id)) {
            return new self(false, '', 0.0, 0.0, 0.0, 0.0, '');
        }
        $width = min($asked->widthMm, $m->swing->widestMm);
        $length = $asked->kind->staysInPlace() ? $asked->lengthMm : min(max($asked->lengthMm, $m->feed->shortestMm), $m->feed->longestMm);
        $fixed = '';
        if ($m->swing->fixed !== [] && $asked->kind->plainZigzag) {
            $near = self::nearestFixed($m, $asked->widthMm, $asked->lengthMm);
            [$width, $length, $fixed] = [$near['width_mm'], $near['length_mm'], $near['name']];
        }

        return new self(
            true, $m->nameOf($asked->kind->id), $width, self::dialLength($m, $asked, $length),
            $width - $asked->widthMm, $length - $asked->lengthMm, $fixed,
        );
    }

    /**
     * Length for each stroke that a machine sews when its dial shows this. Only a plain zigzag's length has two
     * meanings; of every other stitch the dial says what the feed does.
     */
    public static function strokeLength(Machine $m, float $dial, StitchKind $kind): float
    {
        return $m->swing->lengthPerCycle && $kind->plainZigzag ? $dial / 2 : $dial;
    }

    /**
     * The nearest of a machine's fixed zigzags: width counts as much as length.
     *
     * @return array{width_mm: float, length_mm: float, name: string}
     */
    public static function nearestFixed(Machine $m, float $widthMm, float $lengthMm): array
    {
        $best = $m->swing->fixed[0] ?? ['width_mm' => 0.0, 'length_mm' => 0.0, 'name' => ''];
        foreach ($m->swing->fixed as $z) {
            if (hypot($z['width_mm'] - $widthMm, $z['length_mm'] - $lengthMm) < hypot($best['width_mm'] - $widthMm, $best['length_mm'] - $lengthMm)) {
                $best = $z;
            }
        }

        return $best;
    }

    private static function dialLength(Machine $m, StitchSettings $asked, float $length): float
    {
        return $m->swing->lengthPerCycle && $asked->kind->plainZigzag ? $length * 2 : $length;
    }
}
