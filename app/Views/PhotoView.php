<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\SamplePhoto;
use OpenApi\Attributes as OA;

/** A photo of a sample; the picture itself has its own address. */
#[OA\Schema]
final readonly class PhotoView
{
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $sample,
        #[OA\Property(nullable: true, description: 'null: of the whole piece')] public ?string $row,
        #[OA\Property] public int $width,
        #[OA\Property] public int $height,
        #[OA\Property] public string $kept_at,
    ) {}

    public static function of(SamplePhoto $photo): self
    {
        return new self($photo->id, $photo->sample_id, $photo->row, $photo->width, $photo->height, $photo->kept_at->toIso8601ZuluString());
    }
}
