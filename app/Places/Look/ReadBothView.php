<?php

declare(strict_types=1);

namespace App\Places\Look;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Scan\Compared;

/** One value of one sample by both. */
#[OA\Schema]
final readonly class ReadBothView
{
    private function __construct(#[OA\Property] public string $sample, #[OA\Property] public float $ruler_mm, #[OA\Property] public float $camera_mm) {}

    public static function of(Compared $pair): self
    {
        return new self($pair->sample, round($pair->ruler->value, 4), round($pair->camera->value, 4));
    }
}
