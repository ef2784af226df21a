<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\InputError;

/** What is set on the machine for a row: all lengths in mm, length for each needle stroke. */
final readonly class StitchSettings
{
    /** No needle of a domestic machine moves further from the centre. */
    public const FURTHEST_POSITION_MM = 4.5;

    /** A bar of a buttonhole; ours to start from, until a machine's own were measured. */
    public const BAR_MM = 1.5;

    private function __construct(
        public StitchKind $kind,
        public float $lengthMm,
        public float $widthMm,
        /** Middle of the swing from the centre needle position, left negative. */
        public float $positionMm,
        /** Between the sides of a buttonhole. */
        public float $gapMm,
        /** Stitches of each bar of a buttonhole, or of a button. */
        public int $stitches,
        /** Along the hole, each bar of a buttonhole: it stays nearly on the spot, however many stitches it has. */
        public float $barMm = self::BAR_MM,
        /** The end of a buttonhole that is sewn first: the front, where the row begins, or the back. */
        public bool $startsAtBack = false,
        /** Straight rows along both sides before the zigzag. */
        public bool $straightFirst = false,
        /** Bars of a buttonhole as an open zigzag that gives with a knit, instead of dense ones. */
        public bool $openBars = false,
    ) {}

    /**
     * @param  float|null  $lengthMm  null: the usual one
     * @param  float|null  $widthMm  null: the usual one; a straight stitch has none, whatever is given
     *
     * @throws InputError when a value is out of range for this stitch
     */
    public static function of(StitchKind $kind, ?float $lengthMm = null, ?float $widthMm = null, float $positionMm = 0.0, ?float $gapMm = null, ?int $stitches = null, ?float $barMm = null, bool $startsAtBack = false, bool $straightFirst = false, bool $openBars = false): self
    {
        $lengthMm ??= $kind->length->usual;
        $widthMm = $kind->swings() ? $widthMm ?? $kind->width->usual : 0.0;
        $kind->length->check('length_mm', $lengthMm, "The length of “{$kind->title}”");
        $kind->width->check('width_mm', $widthMm, "The width of “{$kind->title}”");
        (new Span(-self::FURTHEST_POSITION_MM, self::FURTHEST_POSITION_MM, 0.0))->check('needle_position_mm', $positionMm, 'A needle position');
        $gapMm ??= 0.6;
        if ($kind->generator === 'buttonhole') {
            (new Span(0.2, max(0.2, $widthMm - 1), 0.6))->check('gap_mm', $gapMm, 'The gap between the sides');
        }
        $stitches ??= $kind->generator === 'button' ? 7 : 6;
        if ($stitches < 2 || $stitches > 40) {
            throw InputError::at('stitches', $stitches, 'From 2 to 40 stitches can be sewn here.');
        }

        $barMm ??= self::BAR_MM;
        (new Span(0.5, 4.0, self::BAR_MM))->check('bar_mm', $barMm, 'A bar');

        return new self($kind, $lengthMm, $widthMm, $positionMm, $gapMm, $stitches, $barMm, $startsAtBack, $straightFirst, $openBars);
    }
}
