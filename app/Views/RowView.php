<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A row to look at. */
#[OA\Schema]
final readonly class RowView
{
    /**
     * @param  list<FieldView>  $fields
     * @param  list<CheckRuleView>  $checks
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $guide,
        #[OA\Property(description: '0 where nothing is sewn')] public int $stitches,
        #[OA\Property] public float $thread_mm,
        #[OA\Property] public float $minutes,
        #[OA\Property(description: 'some of its readings can be taken from a picture')] public bool $from_picture,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FieldView::class))] public array $fields,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckRuleView::class))] public array $checks,
    ) {}
}
