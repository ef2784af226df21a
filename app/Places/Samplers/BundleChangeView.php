<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\BundleChange;

/** What bringing in a bundle does to one lesson, skill, fault or course. */
#[OA\Schema]
final readonly class BundleChangeView
{
    /** @param  list<array{place: string, before: string, after: string}>  $places */
    public function __construct(
        #[OA\Property(enum: ['lesson', 'skill', 'fault', 'course'])] public string $part,
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public bool $is_new,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['place', 'before', 'after'], properties: [new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'before', type: 'string'), new OA\Property(property: 'after', type: 'string')], type: 'object'))] public array $places,
    ) {}

    public static function of(BundleChange $c): self
    {
        return new self($c->part, $c->id, $c->title, $c->isNew, $c->places);
    }
}
