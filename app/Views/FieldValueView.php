<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Sampler\FieldValue;

/** One value of a reading: a length is typed in the reader's unit, bounds and step are mm then. */
#[OA\Schema]
final readonly class FieldValueView
{
    private function __construct(
        #[OA\Property] public bool $length,
        #[OA\Property] public float $min,
        #[OA\Property] public float $max,
        #[OA\Property(description: 'what an arrow key changes it by')] public float $step,
    ) {}

    public static function of(FieldValue $value): self
    {
        return new self($value->length, $value->min, $value->max, $value->step);
    }
}
