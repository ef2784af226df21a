<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Views\PictureView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootKind;
use OpenSeam\Core\Picture\FootPicture;
use OpenSeam\Core\Words;

/** Something that can be seen on a foot, on a foot that has it. */
#[OA\Schema]
final readonly class FootPartView
{
    /** Seen when the foot is turned over. */
    private const BELOW = ['groove', 'two-grooves', 'channels', 'rollers'];

    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public PictureView $picture,
    ) {}

    public static function of(string $seen, FootKind $on): self
    {
        $words = Words::in();

        return new self($seen, $words->say("foot-part.$seen"), PictureView::of(FootPicture::of(Foot::read(Data::of(['kind' => $on->id])), in_array($seen, self::BELOW, true) ? 'sole' : 'above'), $words));
    }
}
