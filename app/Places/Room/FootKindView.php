<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Views\PictureView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootKind;
use OpenSeam\Core\Picture\FootPicture;
use OpenSeam\Core\Words;

/** A kind of foot there is, with measures to start from. */
#[OA\Schema]
final readonly class FootKindView
{
    /** @param  array<string, mixed>  $usual */
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $about,
        #[OA\Property] public string $caution,
        #[OA\Property(type: 'object', ref: '#/components/schemas/FootFacts')] public array $usual,
        #[OA\Property(description: 'from above, with its usual measures')] public PictureView $picture,
    ) {}

    public static function of(FootKind $kind): self
    {
        $foot = Foot::read(Data::of(['kind' => $kind->id]));

        return new self($kind->id, $kind->title, $kind->about, $kind->caution, $foot->facts(), PictureView::of(FootPicture::of($foot, 'above'), Words::in()));
    }
}
