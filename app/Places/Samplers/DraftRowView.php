<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;

/** What a row on the drafting table takes, and where it can be sewn. */
#[OA\Schema]
final readonly class DraftRowView
{
    /**
     * @param  array<string, string>  $allows
     * @param  list<RowFitView>  $machines
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'with its lengths in the reader’s unit')] public string $title,
        #[OA\Property(description: '0 where nothing is sewn')] public int $stitches,
        #[OA\Property] public float $row_mm,
        #[OA\Property] public float $thread_mm,
        #[OA\Property] public float $minutes,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'), description: 'what each check allows, in words')] public array|\stdClass $allows,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RowFitView::class))] public array $machines,
    ) {}
}
