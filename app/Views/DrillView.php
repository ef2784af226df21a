<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Drill;

/** A short exercise of one skill. */
#[OA\Schema]
final readonly class DrillView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $text,
        #[OA\Property] public float $minutes,
        #[OA\Property(nullable: true, description: 'its short rows on scrap, where it is sewn')] public ?DrawingView $drawing,
    ) {}

    public static function orNull(?Drill $drill): ?self
    {
        return $drill === null ? null : self::of($drill);
    }

    public static function of(Drill $drill): self
    {
        return new self($drill->id, $drill->title, $drill->text, $drill->minutes, DrawingView::of($drill));
    }
}
