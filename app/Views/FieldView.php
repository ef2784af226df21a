<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A reading to take. */
#[OA\Schema]
final readonly class FieldView
{
    /**
     * @param  list<string>  $options
     * @param  list<FieldValueView>  $values
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $label,
        #[OA\Property(enum: ['length', 'lengths', 'count', 'counts', 'stitches', 'yes-no', 'choice'])] public string $kind,
        #[OA\Property] public int $size,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $options,
        #[OA\Property] public string $hint,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FieldValueView::class), description: 'the values it takes, in order')] public array $values,
        #[OA\Property(description: 'what it looks like can be tapped')] public bool $seen,
    ) {}
}
