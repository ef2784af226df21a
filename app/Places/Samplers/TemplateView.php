<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Views\PictureView;
use OpenApi\Attributes as OA;

/** A picture to choose for an act or a step. */
#[OA\Schema]
final readonly class TemplateView
{
    /** @param  array<string, mixed>  $keeps */
    public function __construct(
        #[OA\Property(type: 'object', additionalProperties: true, description: 'what a lesson keeps of it')] public array $keeps,
        #[OA\Property] public PictureView $picture,
    ) {}
}
