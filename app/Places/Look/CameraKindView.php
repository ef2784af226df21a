<?php

declare(strict_types=1);

namespace App\Places\Look;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Scan\CameraAgreement;
use OpenSeam\Core\Scan\Compared;

/** Of one thing that a picture reads: how far camera and ruler are apart. */
#[OA\Schema]
final readonly class CameraKindView
{
    /** @param  list<ReadBothView>  $pairs */
    private function __construct(
        #[OA\Property(enum: ['allowance', 'length', 'width', 'spacing', 'start', 'sides', 'gap'])] public string $what,
        #[OA\Property] public int $samples,
        #[OA\Property] public int $values,
        #[OA\Property(description: 'how much more the camera says on the whole')] public float $bias_mm,
        #[OA\Property(nullable: true, description: 'standard uncertainty of that')] public ?float $bias_u_mm,
        #[OA\Property(description: 'so large that its reason is worth finding')] public bool $biased,
        #[OA\Property(description: 'standard deviation of a difference')] public float $spread_mm,
        #[OA\Property(description: 'what it would be if both are as sure as they say')] public float $said_mm,
        #[OA\Property(description: 'what the uncertainty that a picture says of itself is multiplied with from now on')] public float $factor,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReadBothView::class))] public array $pairs,
    ) {}

    /** @param  list<Compared>  $pairs */
    public static function of(CameraAgreement $found, array $pairs): self
    {
        return new self(
            $found->of->value, $found->samples, $found->values, round($found->biasMm, 4), $found->biasU === null ? null : round($found->biasU, 4), $found->isBiased(), round($found->spreadMm, 4), round($found->saidMm, 4), round($found->factor, 3),
            array_map(ReadBothView::of(...), $pairs),
        );
    }
}
