<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Buttonhole\Placing;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/** How many buttonholes, and where, so that named points have one. */
final class PlaceButtons implements Calculator
{
    private const SECONDS = 1.5;

    public function name(): string
    {
        return 'place-buttons';
    }

    public function summary(): string
    {
        return 'How many buttonholes, and where: evenly, with the ends moved a little, so that the fullest of the chest or the waist has one.';
    }

    public function schema(): array
    {
        return Schema::object([
            'first_mm' => Schema::number('place of the first, from one end of the band', -10_000, 10_000), 'last_mm' => Schema::number('and of the last', -10_000, 10_000),
            'slack_mm' => Schema::number('so far each of the two may move', 0, 100),
            'counts' => Schema::list('fewest and most that are thought of', Schema::whole('how many', 1, 40), 2, 2),
            'anchors_mm' => Schema::list('points that must have one', Schema::number('from the same end', -10_000, 10_000), 0, 3),
            'least_spacing_mm' => Schema::number('from one to the next, at least', 0, 1000), 'diameter_mm' => Schema::number('of the button: they are never nearer', 0, 200),
        ], ['slack_mm', 'anchors_mm', 'least_spacing_mm', 'diameter_mm']);
    }

    public function answer(): array
    {
        return Schema::object(['choices' => Schema::list('smallest worst distance first, then the smallest shift, then the fewest', Schema::object([
            'count' => Schema::whole('how many', 1, 60), 'first_mm' => Schema::number('place'), 'last_mm' => Schema::number('place'), 'spacing_mm' => Schema::number('from one to the next; 0 for one alone'),
            'positions_mm' => Schema::list('all from the same end', Schema::number('mm')), 'worst_anchor_mm' => ['type' => ['number', 'null'], 'description' => 'from a named point to its nearest; null where none is named'],
            'shift_mm' => Schema::number('by which both ends moved, together'), 'proven' => ['type' => 'boolean', 'description' => 'there is no better row of so many'],
        ]))]);
    }

    public function example(): array
    {
        return ['first_mm' => 20, 'last_mm' => 420, 'slack_mm' => 10, 'counts' => [5, 7], 'anchors_mm' => [190]];
    }

    public function run(Data $in): array
    {
        [$first, $last, $slack] = [$in->number('first_mm'), $in->number('last_mm'), $in->number('slack_mm', 0.0)];
        [$least, $most] = array_map(intval(...), $in->numbers('counts'));
        $most >= $least || throw InputError::at('counts[1]', $most, sprintf('The most cannot be fewer than the fewest, %d.', $least));
        $last > $first || ($most === 1 && $last >= $first) || throw InputError::at('last_mm', $last, sprintf('The last lies after the first, %g mm.', $first));
        $anchors = $in->has('anchors_mm') ? $in->numbers('anchors_mm') : [];
        foreach ($anchors as $i => $anchor) {
            $anchor >= $first - $slack && $anchor <= $last + $slack || throw InputError::at("anchors_mm[$i]", $anchor, sprintf('A named point lies between the first and the last, %g to %g mm here.', $first - $slack, $last + $slack));
        }
        // Nearer than a button across they lie on each other.
        $apart = max($in->number('least_spacing_mm', 0.0), $in->number('diameter_mm', 0.0));
        $choices = Placing::choices($first, $last, $slack, $least, $most, $anchors, $apart, Deadline::in(self::SECONDS));
        $choices !== [] || throw InputError::at($in->has('least_spacing_mm') ? 'least_spacing_mm' : 'diameter_mm', $apart, sprintf('%d holes do not fit so far apart: over %g mm there is room for %d at most.', $least, $last - $first + 2 * $slack, 1 + (int) floor(($last - $first + 2 * $slack) / max($apart, Near::DUST))));

        return ['choices' => array_map(fn (Placing $p): array => [
            'count' => $p->count, 'first_mm' => $p->firstMm, 'last_mm' => $p->lastMm, 'spacing_mm' => $p->spacingMm, 'positions_mm' => $p->positionsMm, 'worst_anchor_mm' => $p->worstMm, 'shift_mm' => $p->shiftMm, 'proven' => $p->proven,
        ], $choices)];
    }
}
