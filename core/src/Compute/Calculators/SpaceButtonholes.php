<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Buttonhole\Spacing;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\ValueRefused;

/** Where several buttonholes sit. */
final class SpaceButtonholes implements Calculator
{
    public function name(): string
    {
        return 'space-buttonholes';
    }

    public function summary(): string
    {
        return 'Where several buttonholes sit, evenly from the first to the last, and how near one comes to a named point.';
    }

    public function schema(): array
    {
        return Schema::object([
            'first_mm' => Schema::number('middle of the first', -10_000, 10_000), 'last_mm' => Schema::number('middle of the last', -10_000, 10_000),
            'count' => Schema::whole('how many', 1, 200), 'anchor_mm' => Schema::number('a point that should have one, such as the fullest of the chest', -10_000, 10_000),
        ], ['anchor_mm']);
    }

    public function answer(): array
    {
        return Schema::object([
            'positions_mm' => Schema::list('middles', Schema::number('mm')), 'spacing_mm' => Schema::number('from one to the next; 0 for one alone'),
            'anchor_error_mm' => ['type' => ['number', 'null'], 'description' => 'from the named point to the nearest; null where none is named'],
        ]);
    }

    public function example(): array
    {
        return ['first_mm' => 20, 'last_mm' => 420, 'count' => 6, 'anchor_mm' => 190];
    }

    public function run(Data $in): array
    {
        [$first, $last, $anchor] = [$in->number('first_mm'), $in->number('last_mm'), $in->numberOrNull('anchor_mm')];
        try {
            $s = Spacing::even($first, $last, $in->whole('count'), $anchor);
        } catch (ValueRefused $e) {
            $outside = $anchor !== null && $last >= $first && ($anchor < $first || $anchor > $last);
            throw InputError::at($outside ? 'anchor_mm' : 'last_mm', $outside ? $anchor : $last, $e->getMessage()." From $first to $last here.");
        }

        return ['positions_mm' => $s->positionsMm, 'spacing_mm' => $s->spacingMm, 'anchor_error_mm' => $s->anchorErrorMm];
    }
}
