<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Why, with the readings behind it. */
#[OA\Schema]
final readonly class ReasonView
{
    /**
     * @param  list<EvidenceView>  $evidence
     */
    public function __construct(
        #[OA\Property] public string $text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EvidenceView::class))] public array $evidence,
    ) {}
}
