<?php

declare(strict_types=1);

namespace App\Places\Room;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Stitch\StitchKind;

/** A stitch the program can draw. */
#[OA\Schema]
final readonly class StitchView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $about,
        #[OA\Property(enum: ['pattern', 'buttonhole', 'button'])] public string $generator,
        #[OA\Property] public bool $swings,
        #[OA\Property] public bool $dense,
        #[OA\Property] public float $length_mm,
        #[OA\Property] public float $width_mm,
        #[OA\Property(nullable: true, description: 'a stitch of the machine that it is set up from by hand')] public ?string $made_of,
    ) {}

    public static function of(StitchKind $k): self
    {
        return new self($k->id, $k->title, $k->about, $k->generator, $k->swings(), $k->dense, $k->length->usual, $k->width->usual, $k->madeOf);
    }
}
