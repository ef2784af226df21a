<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;

/** A lesson as it stands in a bundle, to be changed. */
#[OA\Schema]
final readonly class LessonTextView
{
    /**
     * @param  array<string, mixed>  $lesson
     * @param  list<LessonVersionView>  $versions
     */
    public function __construct(
        #[OA\Property(type: 'object', ref: '#/components/schemas/BundleLesson')] public array $lesson,
        #[OA\Property(description: 'the one on the shelf')] public int $version,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonVersionView::class))] public array $versions,
    ) {}
}
