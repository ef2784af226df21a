<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Views\MaterialLineView;
use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** What a class needs, what it costs, and how the cloth is cut. */
#[OA\Schema]
final readonly class MaterialsView
{
    /**
     * @param  list<MaterialLineView>  $lines
     * @param  list<CuttingView>  $cutting
     */
    public function __construct(
        #[OA\Property] public NamedView $class,
        #[OA\Property] public int $students,
        #[OA\Property] public int $sessions,
        #[OA\Property(description: 'samples a student is expected to sew of a lesson')] public float $samples_each,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MaterialLineView::class))] public array $lines,
        #[OA\Property] public float $cost,
        #[OA\Property] public float $cost_each,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CuttingView::class))] public array $cutting,
        #[OA\Property] public ShopView $shop,
    ) {}
}
