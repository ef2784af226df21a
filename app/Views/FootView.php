<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Foot;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Picture\FootPicture;
use OpenSeam\Core\Words;

/** A kind of foot of the room. */
#[OA\Schema]
final readonly class FootView
{
    /** @param  array<string, mixed>  $facts */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(type: 'object', ref: '#/components/schemas/FootFacts')] public array $facts,
        #[OA\Property(description: 'from above, with its own measures')] public PictureView $picture,
    ) {}

    public static function of(Foot $f): self
    {
        $foot = $f->core();

        return new self($f->id, $foot->facts(), PictureView::of(FootPicture::of($foot, 'above'), Words::in()));
    }
}
