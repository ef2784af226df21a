<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\BundleChange;

/** What bringing in a bundle would change, or has changed. */
#[OA\Schema]
final readonly class BundleChangesView
{
    /** @param  list<BundleChangeView>  $changes */
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property(description: 'of the shelf it was compared with')] public int $edition,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BundleChangeView::class))] public array $changes,
    ) {}

    /** @param  list<BundleChange>  $changes */
    public static function of(string $title, int $edition, array $changes): self
    {
        return new self($title, $edition, array_map(BundleChangeView::of(...), $changes));
    }
}
