<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Material\ClothPiece;
use OpenSeam\Core\Material\CuttingLayout;
use OpenSeam\Core\Material\Placed;

/** How much cloth to buy and where each piece is cut. */
final class CutCloth implements Calculator
{
    public function name(): string
    {
        return 'cut-cloth';
    }

    public function summary(): string
    {
        return 'Pieces laid on a width of cloth: length to buy, the bound no layout beats, waste, and where each is cut.';
    }

    public function schema(): array
    {
        return Schema::object([
            'cloth_width_mm' => Schema::number('from outer edge to outer edge', null, 10_000, 0),
            'selvedge_mm' => Schema::number('not used, on each side', 0, 1000),
            'pieces' => Schema::list('what is cut', Schema::object([
                'id' => Schema::text('its name'), 'width_mm' => Schema::number('across the cloth', null, 100_000, 0), 'length_mm' => Schema::number('along the grain', null, 100_000, 0),
                'count' => Schema::whole('how many', 0, CuttingLayout::MOST_PIECES), 'turn' => ['type' => 'boolean', 'description' => 'may be turned across the grain; default no'],
            ], ['turn']), 0, 1000),
        ]);
    }

    public function answer(): array
    {
        $box = ['x_mm' => Schema::number('from the left selvedge'), 'y_mm' => Schema::number('along the cloth'), 'width_mm' => Schema::number('across'), 'length_mm' => Schema::number('along')];

        return Schema::object([
            'length_mm' => Schema::number('to buy'), 'lower_bound_mm' => Schema::number('no layout is shorter'), 'waste_share' => Schema::number('of the cloth bought', 0, 1),
            'placed' => Schema::list('each piece', Schema::object(['id' => Schema::text('its name')] + $box)), 'offcuts' => Schema::list('what is left, largest first', Schema::object($box)),
        ]);
    }

    public function example(): array
    {
        return ['cloth_width_mm' => 1400, 'selvedge_mm' => 15, 'pieces' => [
            ['id' => 'seam square', 'width_mm' => 100, 'length_mm' => 150, 'count' => 40, 'turn' => true], ['id' => 'spiral square', 'width_mm' => 150, 'length_mm' => 150, 'count' => 20], ['id' => 'strip', 'width_mm' => 300, 'length_mm' => 60, 'count' => 10, 'turn' => true],
        ]];
    }

    public function run(Data $in): array
    {
        $pieces = [];
        $fields = [];
        foreach ($in->parts('pieces') as $p) {
            count($pieces) + $p->whole('count') <= CuttingLayout::MOST_PIECES || throw InputError::at($p->path('count'), $p->whole('count'), sprintf('At most %d pieces can be laid at once, all counts together.', CuttingLayout::MOST_PIECES));
            for ($i = 0; $i < $p->whole('count'); $i++) {
                $pieces[] = new ClothPiece($p->text('id'), $p->number('width_mm'), $p->number('length_mm'), $p->flag('turn'));
                $fields[] = $p->path('width_mm');
            }
        }
        $layout = CuttingLayout::of($in->number('cloth_width_mm'), $in->number('selvedge_mm'), $pieces, $fields, true);

        return [
            'length_mm' => $layout->lengthMm, 'lower_bound_mm' => $layout->lowerBoundMm, 'waste_share' => $layout->wasteShare,
            'placed' => array_map(fn (Placed $p): array => ['id' => $p->id, 'x_mm' => $p->xMm, 'y_mm' => $p->yMm, 'width_mm' => $p->widthMm, 'length_mm' => $p->lengthMm], $layout->placed),
            'offcuts' => $layout->offcuts,
        ];
    }
}
