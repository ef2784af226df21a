<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A picture of several that share what is drawn: its shapes by their number among the parts. */
#[OA\Schema]
final readonly class DrawnView
{
    /**
     * @param  array{left: float, top: float, width: float, height: float}  $box
     * @param  list<int>  $uses
     * @param  list<array{text: string, x: float, y: float, anchor: string}>  $labels
     */
    public function __construct(
        #[OA\Property(type: 'object', required: ['left', 'top', 'width', 'height'], properties: [new OA\Property(property: 'left', type: 'number'), new OA\Property(property: 'top', type: 'number'), new OA\Property(property: 'width', type: 'number'), new OA\Property(property: 'height', type: 'number')], description: 'mm, x to the right and y down')] public array $box,
        #[OA\Property(description: 'height of its words, mm')] public float $word,
        #[OA\Property(description: 'one mm in it is one mm of what it shows')] public bool $to_scale,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'), description: 'parts, what is drawn first lies below')] public array $uses,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['text', 'x', 'y', 'anchor'], properties: [new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number'), new OA\Property(property: 'anchor', type: 'string', enum: ['start', 'middle', 'end'])], type: 'object'))] public array $labels,
    ) {}
}
