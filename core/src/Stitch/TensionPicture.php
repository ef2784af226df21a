<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

/**
 * Where the two threads lock between the faces. An illustration, not a
 * measurement: the tighter thread pulls the lock to its own side, a quarter of
 * the stack for each notch, and beyond the face it shows as loops or dots.
 */
final readonly class TensionPicture
{
    private const SHARE_PER_NOTCH = 0.25;

    /** Notches to try before it is a threading, needle or bobbin fault; common practice, no source. */
    public const MOST_NOTCHES = 2.0;

    private function __construct(
        /** 0 on the underside, 0.5 in the middle, 1 on the right side. */
        public float $lock,
        /** "balanced", "top-loose" or "top-tight". */
        public string $look,
        /** What shows on the right side and on the underside: "even", "dots" or "loops". */
        public string $rightSide,
        public string $underside,
        /** "none", "notch-up", "notch-down" or "rethread". */
        public string $move,
    ) {}

    /**
     * @param  float  $top  notches from the machine's usual mark, tighter is positive
     * @param  float  $bobbin  the same for the bobbin
     */
    public static function of(float $top, float $bobbin): self
    {
        $difference = $top - $bobbin;
        $lock = min(1.0, max(0.0, 0.5 + self::SHARE_PER_NOTCH * $difference));
        $look = match (true) {
            abs($difference) < 1.0 => 'balanced',
            $difference < 0 => 'top-loose',
            default => 'top-tight',
        };
        $shown = abs($difference) > self::MOST_NOTCHES ? 'loops' : 'dots';

        return new self(
            $lock, $look,
            $look === 'top-tight' ? $shown : 'even',
            $look === 'top-loose' ? $shown : 'even',
            match (true) {
                $look === 'balanced' => 'none',
                abs($top) > self::MOST_NOTCHES => 'rethread',
                default => $difference < 0 ? 'notch-up' : 'notch-down',
            },
        );
    }
}
