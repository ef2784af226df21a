<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Way;

/** How a lesson is sewn where that may differ: the schools followed, and the machine's own stitches it is made from. */
#[OA\Schema]
final readonly class WayView
{
    /**
     * @param  list<string>  $schools
     * @param  list<array{stitch: string, width_mm: float, length_mm: float, name: string}>  $stitches
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $schools,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['stitch', 'width_mm', 'length_mm', 'name'], properties: [new OA\Property(property: 'stitch', type: 'string'), new OA\Property(property: 'width_mm', type: 'number'), new OA\Property(property: 'length_mm', type: 'number'), new OA\Property(property: 'name', type: 'string')], type: 'object'))] public array $stitches,
    ) {}

    public static function of(Way $way): self
    {
        return new self(...$way->facts());
    }
}
