<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Machine\Clearance;
use OpenSeam\Core\Near;

/** The swing that sews a button on, and the room it leaves at the walls of its holes. Common practice, no source; mm. */
final readonly class ButtonSwing
{
    /** Under this it is close; ours to start from. */
    public const CLOSE_BELOW_MM = 0.3;

    private function __construct(
        /** As the dial has it. */
        public float $widthMm,
        /** At each wall of each hole: below 0 it strikes. */
        public float $marginMm,
        /** clear, close or strike. */
        public string $verdict,
        /** @var list<string> in which it can be sewn */
        public array $patterns,
    ) {}

    /**
     * @param  int  $holes  2 or 4
     * @param  float  $spacingMm  centre to centre
     * @param  float  $stepMm  of the width dial; 0: free
     */
    public static function of(int $holes, float $spacingMm, float $holeMm, float $needleMm, float $stepMm, float $widestMm): self
    {
        $width = self::dialled($spacingMm, $stepMm, $widestMm);
        $margin = self::margin($width, $spacingMm, $holeMm, $needleMm);
        $verdict = Clearance::byMargin($margin, self::CLOSE_BELOW_MM);
        $patterns = match (true) {
            $verdict === 'strike' => [],
            $holes === 2 => ['one-pair'],
            default => ['two-rows-across', 'two-rows-along'],
        };
        if ($holes === 4 && $patterns !== []) {
            // A cross goes from corner to corner of the square.
            $corner = $spacingMm * M_SQRT2;
            self::margin(self::dialled($corner, $stepMm, $widestMm), $corner, $holeMm, $needleMm) >= 0 && $patterns[] = 'cross';
        }

        return new self($width, $margin, $verdict, $patterns);
    }

    /** The nearest width the dial has. */
    private static function dialled(float $wanted, float $step, float $widest): float
    {
        if ($step <= 0) {
            return min($wanted, $widest);
        }

        return min(round($wanted / $step), floor($widest / $step + Near::DUST)) * $step;
    }

    private static function margin(float $width, float $spacing, float $hole, float $needle): float
    {
        return ($hole - $needle) / 2 - abs($width - $spacing) / 2;
    }
}
