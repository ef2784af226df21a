<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Near;

/**
 * The guide for an allowance: a needle moved to p sews at distance − p from a
 * guide on its right, and at distance + p from one on its left. The smallest error wins, then the least set-up, then the needle moved least.
 *
 * @phpstan-type Found array{id: string, setting_mm: float, needle_position_mm: float, error_mm: float, over_mm: float, effort: float}
 */
final class GuideFinder
{
    /** Guides this far beyond the plate's lines are set with a ruler. */
    private const MAGNET_FROM_MM = 10.0;

    private const MAGNET_TO_MM = 100.0;

    /**
     * @param  list<Guide>  $guides
     * @param  list<float>  $positionsMm  needle positions, left negative
     * @return list<Found> each guide once, best first
     */
    public static function find(float $allowanceMm, array $guides, array $positionsMm): array
    {
        $found = [];
        foreach ($guides as $guide) {
            $best = null;
            foreach ($positionsMm === [] ? [0.0] : $positionsMm as $p) {
                $shift = $guide->left ? -$p : $p;
                $setting = $guide->nearest($allowanceMm + $shift);
                $over = $setting - $shift - $allowanceMm;
                $over = abs($over) < Near::DUST ? 0.0 : $over;
                $here = ['id' => $guide->id, 'setting_mm' => $setting, 'needle_position_mm' => $p, 'error_mm' => abs($over), 'over_mm' => $over, 'effort' => $guide->effort];
                $best = $best === null || self::compare($here, $best) < 0 ? $here : $best;
            }
            $found[] = $best;
        }
        usort($found, self::compare(...));

        return $found;
    }

    /**
     * All guides of a machine with the feet that fit it.
     *
     * @param  iterable<Foot>  $feet
     * @return list<Guide>
     */
    public static function guidesOf(Machine $m, iterable $feet): array
    {
        $guides = [];
        foreach ($m->marks->plateLinesMm as $line) {
            $guides[] = Guide::fixed(sprintf('plate line %g', $line), $line, 0);
        }
        foreach ($feet as $foot) {
            if ($foot->mount !== $m->mount || $foot->count < 1) {
                continue;
            }
            $change = $foot->kind->id === 'standard' ? 0.0 : 2.0;
            $guides[] = Guide::fixed("{$foot->name}: right edge", $foot->edgeRightMm, $change);
            // For a row beside the row before, or a cloth whose edge lies on the left.
            $guides[] = Guide::left("{$foot->name}: left edge", $foot->edgeLeftMm, $change + 0.5);
            if ($foot->edgeInnerMm !== null) {
                $guides[] = Guide::fixed("{$foot->name}: inside of the toe", $foot->edgeInnerMm, $change + 0.5);
            }
            if ($foot->guide !== null) {
                $guides[] = Guide::adjustable("{$foot->name}: its guide", $foot->guide['min_mm'], $foot->guide['max_mm'], $foot->guide['step_mm'], $change + 1);
            }
        }
        // Where the manual says no to magnets, a strip of tape on the bed does the same; common practice, no source.
        $guides[] = Guide::adjustable($m->magnetsAllowed ? 'magnetic guide, set with a ruler' : 'tape on the bed, measured from the needle', self::MAGNET_FROM_MM, self::MAGNET_TO_MM, 0.5, $m->magnetsAllowed ? 3 : 3.5);

        return $guides;
    }

    /**
     * @param  Found  $a
     * @param  Found  $b
     */
    private static function compare(array $a, array $b): int
    {
        return abs($a['error_mm'] - $b['error_mm']) > Near::DUST
            ? $a['error_mm'] <=> $b['error_mm']
            : [$a['effort'], abs($a['needle_position_mm'])] <=> [$b['effort'], abs($b['needle_position_mm'])];
    }
}
