<?php

declare(strict_types=1);

namespace App\Places\Materials;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Material\CuttingLayout;

/** A cutting plan. */
#[OA\Schema]
final readonly class CuttingView
{
    /**
     * @param  list<string>  $names  of the numbered pieces, from 1
     * @param  list<PlacedView>  $placed
     * @param  list<PlacedView>  $offcuts
     */
    public function __construct(
        #[OA\Property] public string $material,
        #[OA\Property] public float $cloth_width,
        #[OA\Property] public float $selvedge,
        #[OA\Property] public float $length,
        #[OA\Property] public float $lower_bound,
        #[OA\Property] public float $waste_share,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $names,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlacedView::class))] public array $placed,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlacedView::class))] public array $offcuts,
    ) {}

    public static function of(string $material, CuttingLayout $layout, float $width, float $selvedge): self
    {
        $numbers = [];
        $placed = [];
        foreach ($layout->placed as $p) {
            $numbers[$p->id] ??= count($numbers) + 1;
            $placed[] = new PlacedView($numbers[$p->id], $p->xMm, $p->yMm, $p->widthMm, $p->lengthMm);
        }

        return new self($material, $width, $selvedge, $layout->lengthMm, $layout->lowerBoundMm, $layout->wasteShare, array_map(strval(...), array_keys($numbers)), $placed, array_map(fn (array $o, int $i): PlacedView => new PlacedView($i + 1, $o['x_mm'], $o['y_mm'], $o['width_mm'], $o['length_mm']), $layout->offcuts, array_keys($layout->offcuts)));
    }
}
