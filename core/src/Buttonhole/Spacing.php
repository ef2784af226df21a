<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Near;
use OpenSeam\Core\ValueRefused;

/** Buttonholes evenly from the first to the last, and how far the nearest is from a point that should have one. */
final readonly class Spacing
{
    /** @param  list<float>  $positionsMm */
    private function __construct(
        public array $positionsMm,
        public float $spacingMm,
        /** From the named point, such as the fullest of the chest, to the nearest buttonhole; null where none is named. */
        public ?float $anchorErrorMm,
    ) {}

    /**
     * @param  int  $count  1 or more; one alone sits at the named point, or at the first
     *
     * @throws ValueRefused when the last lies before the first, there are none, or the named point lies outside
     */
    public static function even(float $firstMm, float $lastMm, int $count, ?float $anchorMm = null): self
    {
        if ($count < 1 || $lastMm < $firstMm || ($count > 1 && $lastMm <= $firstMm)) {
            throw new ValueRefused('The last buttonhole lies after the first, and there is at least one.');
        }
        if ($anchorMm !== null && ($anchorMm < $firstMm - Near::DUST || $anchorMm > $lastMm + Near::DUST)) {
            throw new ValueRefused('The named point lies between the first buttonhole and the last.');
        }
        $spacing = $count === 1 ? 0.0 : ($lastMm - $firstMm) / ($count - 1);
        $positions = $count === 1 ? [$anchorMm ?? $firstMm] : array_map(fn (int $i): float => $i === $count - 1 ? $lastMm : $firstMm + $i * $spacing, range(0, $count - 1));

        return new self($positions, $spacing, $anchorMm === null ? null : self::nearest($positions, $anchorMm));
    }

    /** From a point to its nearest buttonhole. */
    public function awayFrom(float $mm): float
    {
        return self::nearest($this->positionsMm, $mm);
    }

    /** @param  list<float>  $positions */
    private static function nearest(array $positions, float $mm): float
    {
        return array_reduce($positions, fn (float $least, float $p): float => min($least, abs($p - $mm)), INF);
    }
}
