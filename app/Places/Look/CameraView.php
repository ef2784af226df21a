<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\CameraComparison;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Scan\CameraAgreement;
use OpenSeam\Core\Scan\Compared;
use OpenSeam\Core\Scan\PictureValue;

/** The studio's camera beside its ruler. */
#[OA\Schema]
final readonly class CameraView
{
    /** @param  list<CameraKindView>  $kinds */
    private function __construct(
        #[OA\Property(description: 'compared so far')] public int $samples,
        #[OA\Property(description: 'before anything follows from them')] public int $enough,
        #[OA\Property(nullable: true, description: 'the one that was compared last')] public ?string $last,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CameraKindView::class))] public array $kinds,
    ) {}

    public static function now(): self
    {
        $pairs = CameraComparison::pairs();
        $kinds = [];
        foreach (PictureValue::measured() as $what) {
            $found = CameraAgreement::of($what, $pairs);
            $found === null || $kinds[] = CameraKindView::of($found, array_values(array_filter($pairs, fn (Compared $p): bool => $p->of === $what)));
        }

        return new self(count(array_unique(array_map(fn (Compared $p): string => $p->sample, $pairs))), CameraAgreement::ENOUGH, $pairs === [] ? null : $pairs[count($pairs) - 1]->sample, $kinds);
    }
}
