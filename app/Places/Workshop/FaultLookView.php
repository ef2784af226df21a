<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Views\PictureView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Picture\FaultPicture;
use OpenSeam\Core\Words;

/** A fault as it is seen. */
#[OA\Schema]
final readonly class FaultLookView
{
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $seen,
        #[OA\Property(nullable: true, description: 'as it should be, and as it is seen; none where nobody has drawn it')] public ?PictureView $picture,
    ) {}

    public static function of(Fault $fault, Words $words): self
    {
        $picture = FaultPicture::of($fault);

        return new self($fault->id, $fault->seen, $picture === null ? null : PictureView::of($picture, $words));
    }
}
