<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Picture\Shape;

/** A line of a picture. */
#[OA\Schema]
final readonly class ShapeView
{
    /** @param  list<array{float, float}>  $points */
    public function __construct(
        #[OA\Property(description: 'what it stands for')] public string $role,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), description: 'mm, x to the right and y down')] public array $points,
    ) {}

    public static function of(Shape $shape): self
    {
        // A fiftieth of a millimetre is finer than any screen.
        return new self($shape->role, array_map(fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $shape->points));
    }
}
