<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;
use Random\Engine\Mt19937;
use Random\Randomizer;

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

    /** From here on only shelves are tried: the rest would take too long. */
    private const MOST_DROPPED = 1200;

    /** Smaller leavings are not worth a name. */
    private const OFFCUT_MM = 80.0;

    private const DUST = 1e-6;

    /** Narrower widths and drawn orders that a thorough layout tries, fewer with many pieces. */
    private const MOST_WIDTHS = 40;

    private const MOST_ORDERS = 400;

    private const THOROUGH_WORK = 12_000;

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
            if ($p->widthMm > $width + self::DUST && ! ($p->turn && $p->lengthMm <= $width + self::DUST)) {
                throw InputError::at($fields[$i] ?? "pieces[$i].width_mm", $p->widthMm, sprintf('“%s” is wider than the %g mm between the selvedges%s.', $p->id, $width, $p->turn ? ', either way' : ' and may not be turned'));
            }
        }
        $best = null;
        $length = INF;
        $deadline = Deadline::in(self::SECONDS);
        foreach (self::tried($pieces, $width, $thorough) as $placed) {
            if ($best !== null && $thorough && $deadline->passed()) {
                break;
            }
            $used = self::used($placed);
            if ($used < $length - self::DUST) {
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
     * @param  list<ClothPiece>  $pieces
     * @return iterable<list<Placed>>
     */
    private static function tried(array $pieces, float $width, bool $thorough): iterable
    {
        $sets = [$pieces];
        $still = array_map(fn (ClothPiece $p): ClothPiece => $p->turn && $p->widthMm <= $width + self::DUST ? new ClothPiece($p->id, $p->widthMm, $p->lengthMm, false) : $p, $pieces);
        // As if nothing might be turned but what has to be.
        $still == $pieces || $sets[] = $still;
        foreach ($sets as $set) {
            yield from self::layouts($set, $width);
        }
        foreach ($thorough ? $sets : [] as $set) {
            foreach (self::widths($set, $width) as $w) {
                yield from self::layouts($set, $w);
            }
            yield from self::drawn($set, $width);
        }
    }

    /**
     * Widths from here down at which a layout can change: sums of pieces side by side.
     *
     * @param  list<ClothPiece>  $pieces
     * @return list<float> widest first
     */
    private static function widths(array $pieces, float $width): array
    {
        // In tenths of a millimetre.
        $most = (int) floor($width * 10 + self::DUST);
        $across = [];
        $least = 0;
        foreach ($pieces as $p) {
            $across[(int) ceil($p->widthMm * 10 - self::DUST)] = true;
            $p->turn && $across[(int) ceil($p->lengthMm * 10 - self::DUST)] = true;
            $least = max($least, (int) ceil(10 * ($p->turn ? min($p->widthMm, $p->lengthMm) : $p->widthMm) - self::DUST));
        }
        $sums = [0 => true];
        for ($at = 0; $at <= $most; $at++) {
            if (isset($sums[$at])) {
                foreach (array_keys($across) as $wide) {
                    $at + $wide <= $most && $sums[$at + $wide] = true;
                }
            }
        }
        krsort($sums);
        $sums = array_filter(array_keys($sums), fn (int $sum): bool => $sum >= $least);

        return array_map(fn (int $sum): float => $sum / 10, array_slice($sums, 0, self::effort($pieces, self::MOST_WIDTHS)));
    }

    /**
     * Orders drawn by lot, each a little off one that sorts by size; the lot is the same each time.
     *
     * @param  list<ClothPiece>  $pieces
     * @return iterable<list<Placed>>
     */
    private static function drawn(array $pieces, float $width): iterable
    {
        $lot = new Randomizer(new Mt19937(1980));
        $n = count($pieces);
        for ($round = 0; $n > 2 && $n <= self::MOST_DROPPED && $round < self::effort($pieces, self::MOST_ORDERS); $round++) {
            $key = fn (ClothPiece $p): float => match ($round % 3) {
                0 => $p->lengthMm, 1 => $p->area(), default => max($p->widthMm, $p->lengthMm),
            } * (1 + $lot->getInt(-300, 300) / 1000);
            $order = array_map($key, $pieces);
            arsort($order);
            yield self::dropped(array_map(fn (int $i): ClothPiece => $pieces[$i], array_keys($order)), $width);
        }
    }

    /** @param  list<ClothPiece>  $pieces */
    private static function effort(array $pieces, int $most): int
    {
        return max(1, min($most, intdiv(self::THOROUGH_WORK, max(1, count($pieces)))));
    }

    /**
     * @param  list<ClothPiece>  $pieces
     * @return iterable<list<Placed>>
     */
    private static function layouts(array $pieces, float $width): iterable
    {
        $fits = fn (ClothPiece $p): bool => $p->widthMm <= $width + self::DUST;
        $ways = [
            // As given, lying (short along the cloth), standing (long along the cloth).
            array_map(fn (ClothPiece $p): ClothPiece => $fits($p) ? $p : $p->turned(), $pieces),
            array_map(fn (ClothPiece $p): ClothPiece => $p->turn && $p->lengthMm > $p->widthMm && $fits($p->turned()) || ! $fits($p) ? $p->turned() : $p, $pieces),
            array_map(fn (ClothPiece $p): ClothPiece => $p->turn && $p->widthMm > $p->lengthMm || ! $fits($p) ? $p->turned() : $p, $pieces),
        ];
        foreach ($ways as $way) {
            usort($way, fn (ClothPiece $a, ClothPiece $b): int => [$b->lengthMm, $b->widthMm] <=> [$a->lengthMm, $a->widthMm]);
            yield self::shelves($way, $width);
        }
        if (count($pieces) > self::MOST_DROPPED) {
            return;
        }
        $orders = [
            fn (ClothPiece $a, ClothPiece $b): int => [$b->lengthMm, $b->widthMm] <=> [$a->lengthMm, $a->widthMm],
            fn (ClothPiece $a, ClothPiece $b): int => [$b->widthMm, $b->lengthMm] <=> [$a->widthMm, $a->lengthMm],
            fn (ClothPiece $a, ClothPiece $b): int => [$b->area(), $b->lengthMm] <=> [$a->area(), $a->lengthMm],
            fn (ClothPiece $a, ClothPiece $b): int => [max($b->widthMm, $b->lengthMm), $b->area()] <=> [max($a->widthMm, $a->lengthMm), $a->area()],
        ];
        foreach ($orders as $order) {
            foreach ($ways as $way) {
                usort($way, $order);
                yield self::dropped($way, $width);
            }
        }
    }

    /**
     * First fit decreasing height.
     *
     * @param  list<ClothPiece>  $pieces  longest first
     * @return list<Placed>
     */
    private static function shelves(array $pieces, float $width): array
    {
        $starts = [];
        $filled = [];
        $placed = [];
        $end = 0.0;
        foreach ($pieces as $p) {
            foreach ($starts as $s => $y) {
                if ($width + self::DUST >= $filled[$s] + $p->widthMm) {
                    $placed[] = new Placed($p->id, $filled[$s], $y, $p->widthMm, $p->lengthMm);
                    $filled[$s] += $p->widthMm;

                    continue 2;
                }
            }
            $placed[] = new Placed($p->id, 0.0, $end, $p->widthMm, $p->lengthMm);
            $starts[] = $end;
            $filled[] = $p->widthMm;
            $end += $p->lengthMm;
        }

        return $placed;
    }

    /**
     * Each piece to the lowest place of the contour, then the leftmost; turned where that lies lower.
     *
     * @param  list<ClothPiece>  $pieces
     * @return list<Placed>
     */
    private static function dropped(array $pieces, float $width): array
    {
        // The contour: where it is free from which y on, left to right.
        $contour = [[0.0, $width, 0.0]];
        $placed = [];
        foreach ($pieces as $p) {
            $best = null;
            foreach ($p->turn ? [$p, $p->turned()] : [$p] as $way) {
                foreach (array_keys($contour) as $i) {
                    $y = self::rests($contour, $i, $way->widthMm, $width);
                    // Lowest far edge first: it keeps the contour level.
                    $rank = $y === null ? null : [$y + $way->lengthMm, $y, $contour[$i][0]];
                    if ($rank !== null && ($best === null || $rank < $best[0])) {
                        $best = [$rank, $way, $contour[$i][0], $y];
                    }
                }
            }
            if ($best === null) {
                continue;
            }
            [, $way, $x, $y] = $best;
            $placed[] = new Placed($way->id, $x, $y, $way->widthMm, $way->lengthMm);
            $contour = self::raise($contour, $x, $way->widthMm, $y + $way->lengthMm);
        }

        return $placed;
    }

    /** @param  list<array{float, float, float}>  $contour */
    private static function rests(array $contour, int $from, float $needed, float $width): ?float
    {
        if ($contour[$from][0] + $needed > $width + self::DUST) {
            return null;
        }
        $y = 0.0;
        $left = $needed;
        for ($i = $from; $left > self::DUST && $i < count($contour); $i++) {
            $y = max($y, $contour[$i][2]);
            $left -= $contour[$i][1];
        }

        return $y;
    }

    /**
     * @param  list<array{float, float, float}>  $contour
     * @return list<array{float, float, float}>
     */
    private static function raise(array $contour, float $x, float $wide, float $y): array
    {
        $new = [];
        $end = $x + $wide;
        $laid = false;
        foreach ($contour as [$from, $w, $h]) {
            $to = $from + $w;
            if ($to <= $x + self::DUST || $from >= $end - self::DUST) {
                if (! $laid && $from >= $end - self::DUST) {
                    $new[] = [$x, $wide, $y];
                    $laid = true;
                }
                $new[] = [$from, $w, $h];

                continue;
            }
            if ($from < $x - self::DUST) {
                $new[] = [$from, $x - $from, $h];
            }
            if (! $laid) {
                $new[] = [$x, $wide, $y];
                $laid = true;
            }
            if ($to > $end + self::DUST) {
                $new[] = [$end, $to - $end, $h];
            }
        }
        $merged = [];
        foreach ($new as $piece) {
            $last = array_pop($merged);
            if ($last !== null && abs($last[2] - $piece[2]) < self::DUST) {
                $merged[] = [$last[0], $last[1] + $piece[1], $last[2]];
            } else {
                $last === null || $merged[] = $last;
                $merged[] = $piece;
            }
        }

        return $merged;
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
            $turnable = $p->turn && $p->lengthMm <= $width + self::DUST;
            $along = $turnable && $p->widthMm <= $width + self::DUST ? min($p->widthMm, $p->lengthMm) : ($turnable && $p->widthMm > $width ? $p->widthMm : $p->lengthMm);
            $longest = max($longest, $along);
            $across = $turnable ? min($p->widthMm, $p->lengthMm) : $p->widthMm;
            $stacked += $across > $width / 2 + self::DUST ? $along : 0.0;
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
        $contour = [[0.0, $width, 0.0]];
        $order = $placed;
        usort($order, fn (Placed $a, Placed $b): int => $a->yMm + $a->lengthMm <=> $b->yMm + $b->lengthMm);
        foreach ($order as $p) {
            $contour = self::raise($contour, $p->xMm, $p->widthMm, $p->yMm + $p->lengthMm);
        }
        $offcuts = [];
        foreach ($contour as [$x, $w, $y]) {
            if ($w >= self::OFFCUT_MM && $length - $y >= self::OFFCUT_MM) {
                $offcuts[] = ['x_mm' => $x, 'y_mm' => $y, 'width_mm' => $w, 'length_mm' => $length - $y];
            }
        }
        usort($offcuts, fn (array $a, array $b): int => $b['width_mm'] * $b['length_mm'] <=> $a['width_mm'] * $a['length_mm']);

        return $offcuts;
    }
}
