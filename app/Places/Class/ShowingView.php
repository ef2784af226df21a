<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Views\CheckView;
use App\Views\PhotoView;
use OpenApi\Attributes as OA;

/** A sample that counts for a skill. */
#[OA\Schema]
final readonly class ShowingView
{
    /**
     * @param  list<CheckView>  $checks
     * @param  list<string>  $faults
     * @param  list<KeptSettingView>  $settings
     * @param  list<PhotoView>  $photos
     */
    public function __construct(
        #[OA\Property] public string $sample,
        #[OA\Property] public string $kept_at,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'faded to that day')] public float $known_before,
        #[OA\Property] public float $known_after,
        #[OA\Property(description: 'what its checks weigh for the skill, 0 to 1')] public float $weight,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckView::class))] public array $checks,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $faults,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KeptSettingView::class))] public array $settings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PhotoView::class))] public array $photos,
    ) {}
}
