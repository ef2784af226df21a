<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

use OpenSeam\Core\Near;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Layouts of the same pieces, one after another: shelves and dropped, in several ways and orders. Which is shortest is for others to say. */
final class CuttingTries
{
    /** From here on only shelves are tried: the rest would take too long. */
    private const MOST_DROPPED = 1200;

    /** Narrower widths and drawn orders that a thorough layout tries, fewer with many pieces. */
    private const MOST_WIDTHS = 40;

    private const MOST_ORDERS = 400;

    private const THOROUGH_WORK = 12_000;

    /**
     * @param  list<ClothPiece>  $pieces
     * @return iterable<list<Placed>>
     */
    public static function of(array $pieces, float $width, bool $thorough): iterable
    {
        $sets = [$pieces];
        $still = array_map(fn (ClothPiece $p): ClothPiece => $p->turn && $p->widthMm <= $width + Near::SPOT_MM ? new ClothPiece($p->id, $p->widthMm, $p->lengthMm, false) : $p, $pieces);
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
        $most = (int) floor($width * 10 + Near::SPOT_MM);
        $across = [];
        $least = 0;
        foreach ($pieces as $p) {
            $across[(int) ceil($p->widthMm * 10 - Near::SPOT_MM)] = true;
            $p->turn && $across[(int) ceil($p->lengthMm * 10 - Near::SPOT_MM)] = true;
            $least = max($least, (int) ceil(10 * ($p->turn ? min($p->widthMm, $p->lengthMm) : $p->widthMm) - Near::SPOT_MM));
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
        $fits = fn (ClothPiece $p): bool => $p->widthMm <= $width + Near::SPOT_MM;
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
                if ($width + Near::SPOT_MM >= $filled[$s] + $p->widthMm) {
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
        $contour = ClothContour::flat($width);
        $placed = [];
        foreach ($pieces as $p) {
            $best = null;
            foreach ($p->turn ? [$p, $p->turned()] : [$p] as $way) {
                foreach ($contour->starts() as $i => $x) {
                    $y = $contour->rests($i, $way->widthMm, $width);
                    // Lowest far edge first: it keeps the contour level.
                    $rank = $y === null ? null : [$y + $way->lengthMm, $y, $x];
                    if ($rank !== null && ($best === null || $rank < $best[0])) {
                        $best = [$rank, $way, $x, $y];
                    }
                }
            }
            if ($best === null) {
                continue;
            }
            [, $way, $x, $y] = $best;
            $placed[] = new Placed($way->id, $x, $y, $way->widthMm, $way->lengthMm);
            $contour = $contour->raised($x, $way->widthMm, $y + $way->lengthMm);
        }

        return $placed;
    }
}
