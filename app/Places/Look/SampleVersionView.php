<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Views\CheckView;
use App\Views\LastSampleView;
use OpenApi\Attributes as OA;

/** What was kept of one piece at one time: the first look, or a correction. */
#[OA\Schema]
final readonly class SampleVersionView
{
    /**
     * @param  list<CheckView>  $checks
     * @param  list<string>  $faults
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'when it was typed')] public string $kept_at,
        #[OA\Property(nullable: true)] public ?string $by,
        #[OA\Property] public LastSampleView $said,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckView::class))] public array $checks,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $faults,
        #[OA\Property(description: 'it does not count: corrected, or withdrawn')] public bool $struck,
    ) {}
}
