<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Near;
use OpenSeam\Core\Stitch\StitchSettings;

/**
 * Room beside the needle in an opening. The swing goes from p − W/2 to p + W/2,
 * the needle's radius is its size/200 mm. Below 0 it strikes, below 0.5 mm it
 * is too close; else clear. The hand-wheel turn comes first in any case: a bent
 * needle or a loose foot is nearer than any measure says.
 */
final readonly class Clearance
{
    public const CLOSE_BELOW_MM = 0.5;

    /** Sizes that are made: 60 is 0.60 mm thick. */
    public const SMALLEST_NEEDLE = 50.0;

    public const LARGEST_NEEDLE = 200.0;

    /** The one in most machines where nobody says which. */
    private const USUAL_NEEDLE = 80.0;

    /** The size in what is noted of a needle ("90", "90/14"), within those that are made. */
    public static function needleOf(?string $noted): float
    {
        return min(self::LARGEST_NEEDLE, max(self::SMALLEST_NEEDLE, (float) $noted ?: self::USUAL_NEEDLE));
    }

    private function __construct(public float $leftMm, public float $rightMm) {}

    /**
     * @param  float  $openingLeftMm  from the centre needle to the left wall
     * @param  float  $openingRightMm  to the right wall
     * @param  float  $widthMm  stitch width, 0 or more
     * @param  float  $positionMm  middle of the swing, left negative
     * @param  float  $needleSize  metric size, hundredths of a mm
     */
    public static function of(float $openingLeftMm, float $openingRightMm, float $widthMm, float $positionMm, float $needleSize): self
    {
        $reach = $widthMm / 2 + $needleSize / 200;

        return new self($openingLeftMm + $positionMm - $reach, $openingRightMm - $positionMm - $reach);
    }

    /** In the opening of a foot; on its open side there is no edge to strike: infinite. */
    public static function inFoot(Foot $foot, StitchSettings $stitch, float $needleSize): self
    {
        $in = self::of($foot->openingLeftMm, $foot->openingRightMm, $stitch->widthMm, $stitch->positionMm, $needleSize);
        $open = $foot->openSide;
        if ($open === 'either') {
            // It is clipped so that the needle stands in the open: where it is moved to, or where there is less room.
            $open = $stitch->positionMm < 0 || ($stitch->positionMm === 0.0 && $in->leftMm < $in->rightMm) ? 'left' : 'right';
        }

        return new self($open === 'left' ? INF : $in->leftMm, $open === 'right' ? INF : $in->rightMm);
    }

    public function smallestMm(): float
    {
        return min($this->leftMm, $this->rightMm);
    }

    /** "clear", "close" or "strike" */
    public function verdict(): string
    {
        return self::byMargin($this->smallestMm(), self::CLOSE_BELOW_MM);
    }

    /** The same of any margin: exactly what is close is clear, exactly 0 no strike, whatever the sums of tenths leave over. */
    public static function byMargin(float $marginMm, float $closeBelowMm): string
    {
        return match (true) {
            $marginMm < -Near::DUST => 'strike',
            $marginMm < $closeBelowMm - Near::DUST => 'close',
            default => 'clear',
        };
    }
}
