<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/**
 * Rectangles laid on a length of cloth. Shelves by first fit decreasing height
 * (never more than 1.7 times the optimum plus the longest piece: Coffman,
 * Garey, Johnson and Tarjan 1980), and the same pieces dropped to the lowest
 * free place in several orders; the shortest layout wins. What may be turned is
 * also laid as if it might not, so that being allowed to never costs cloth. A
 * thorough layout is tried on narrower widths too, where something changes (more
 * cloth across is never worse than less), and in orders drawn by a fixed lot.
 *
 * @phpstan-type Offcut array{x_mm: float, y_mm: float, width_mm: float, length_mm: float}
 */
final readonly class CuttingLayout
{
    /** More pieces than this is a factory's work. */
    public const MOST_PIECES = 5000;

    /** Smaller leavings are not worth a name. */
    private const OFFCUT_MM = 80.0;

    /** What many pieces have no time for is left out. */
    private const SECONDS = 2.0;

    /**
     * @param  list<Placed>  $placed
     * @param  list<Offcut>  $offcuts  largest first
     */
    private function __construct(
        public array $placed,
        public float $lengthMm,
        public float $lowerBoundMm,
        /** Of the cloth bought, selvedges with it. */
        public float $wasteShare,
        public array $offcuts,
    ) {}

    /**
     * @param  float  $clothWidthMm  from outer edge to outer edge
     * @param  float  $selvedgeMm  not used, on each side
     * @param  list<ClothPiece>  $pieces
     * @param  list<string>  $fields  where each piece stands in the input, for errors
     * @param  bool  $thorough  takes longer and often saves cloth
     *
     * @throws InputError when a piece is wider than the cloth, or there are too many
     */
    public static function of(float $clothWidthMm, float $selvedgeMm, array $pieces, array $fields = [], bool $thorough = false): self
    {
        $width = $clothWidthMm - 2 * $selvedgeMm;
        if ($width <= 0) {
            throw InputError::at('selvedge_mm', $selvedgeMm, sprintf('The selvedges leave nothing of %g mm.', $clothWidthMm));
        }
        if (count($pieces) > self::MOST_PIECES) {
            throw InputError::at('pieces', count($pieces), sprintf('At most %d pieces can be laid at once.', self::MOST_PIECES));
        }
        foreach ($pieces as $i => $p) {
            if ($p->widthMm > $width + Near::SPOT_MM && ! ($p->turn && $p->lengthMm <= $width + Near::SPOT_MM)) {
                throw InputError::at($fields[$i] ?? "pieces[$i].width_mm", $p->widthMm, sprintf('“%s” is wider than the %g mm between the selvedges%s.', $p->id, $width, $p->turn ? ', either way' : ' and may not be turned'));
            }
        }
        $best = null;
        $length = INF;
        $deadline = Deadline::in(self::SECONDS);
        foreach (CuttingTries::of($pieces, $width, $thorough) as $placed) {
            if ($best !== null && $thorough && $deadline->passed()) {
                break;
            }
            $used = self::used($placed);
            if ($used < $length - Near::SPOT_MM) {
                [$best, $length] = [$placed, $used];
            }
        }
        $best ??= [];
        $length = is_finite($length) ? $length : 0.0;
        $area = array_sum(array_map(fn (ClothPiece $p): float => $p->area(), $pieces));

        return new self(
            $best, $length, self::lowerBound($pieces, $width),
            $length > 0 ? 1 - $area / ($clothWidthMm * $length) : 0.0,
            self::offcuts($best, $width, $length),
        );
    }

    /**
     * No layout is shorter: the area over the width, the longest piece, and all
     * pieces wider than half the cloth one behind the other.
     *
     * @param  list<ClothPiece>  $pieces
     */
    private static function lowerBound(array $pieces, float $width): float
    {
        $area = 0.0;
        $longest = 0.0;
        $stacked = 0.0;
        foreach ($pieces as $p) {
            $area += $p->area();
            $turnable = $p->turn && $p->lengthMm <= $width + Near::SPOT_MM;
            $along = $turnable && $p->widthMm <= $width + Near::SPOT_MM ? min($p->widthMm, $p->lengthMm) : ($turnable && $p->widthMm > $width ? $p->widthMm : $p->lengthMm);
            $longest = max($longest, $along);
            $across = $turnable ? min($p->widthMm, $p->lengthMm) : $p->widthMm;
            $stacked += $across > $width / 2 + Near::SPOT_MM ? $along : 0.0;
        }

        return max($area / $width, $longest, $stacked);
    }

    /** @param  list<Placed>  $placed */
    private static function used(array $placed): float
    {
        return array_reduce($placed, fn (float $max, Placed $p): float => max($max, $p->yMm + $p->lengthMm), 0.0);
    }

    /**
     * What is left between the last pieces and the end of the cloth.
     *
     * @param  list<Placed>  $placed
     * @return list<Offcut>
     */
    private static function offcuts(array $placed, float $width, float $length): array
    {
        $contour = ClothContour::flat($width);
        $order = $placed;
        usort($order, fn (Placed $a, Placed $b): int => $a->yMm + $a->lengthMm <=> $b->yMm + $b->lengthMm);
        foreach ($order as $p) {
            $contour = $contour->raised($p->xMm, $p->widthMm, $p->yMm + $p->lengthMm);
        }
        $offcuts = [];
        foreach ($contour->steps as [$x, $w, $y]) {
            if ($w >= self::OFFCUT_MM && $length - $y >= self::OFFCUT_MM) {
                $offcuts[] = ['x_mm' => $x, 'y_mm' => $y, 'width_mm' => $w, 'length_mm' => $length - $y];
            }
        }
        usort($offcuts, fn (array $a, array $b): int => $b['width_mm'] * $b['length_mm'] <=> $a['width_mm'] * $a['length_mm']);

        return $offcuts;
    }
}
