<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Picture\FoldDrawing;
use OpenSeam\Core\Picture\FoldStep;
use OpenSeam\Core\Picture\FoldStory;

/** How something is folded and sewn, act after act: a section across the creases, and what is seen from above. */
#[OA\Schema]
final readonly class FoldView
{
    /**
     * @param  array{left: float, right: float, top: float, deep: float}  $box
     * @param  list<array{say: string, section: list<ShapeView>, above: list<ShapeView>}>  $steps
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'mm between two layers as they are drawn')] public float $apart,
        #[OA\Property(type: 'object', required: ['left', 'right', 'top', 'deep'], properties: [new OA\Property(property: 'left', type: 'number'), new OA\Property(property: 'right', type: 'number'), new OA\Property(property: 'top', type: 'number'), new OA\Property(property: 'deep', type: 'number')], description: 'mm, room for every step')] public array $box,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['say', 'section', 'above'], properties: [new OA\Property(property: 'say', type: 'string'), new OA\Property(property: 'section', type: 'array', items: new OA\Items(ref: ShapeView::class)), new OA\Property(property: 'above', type: 'array', items: new OA\Items(ref: ShapeView::class))], type: 'object'))] public array $steps,
    ) {}

    public static function of(FoldStory $story): self
    {
        return new self(
            $story->id, $story->title, FoldDrawing::apart($story), FoldDrawing::box($story),
            array_map(fn (FoldStep $s): array => ['say' => $s->say, 'section' => array_map(ShapeView::of(...), FoldDrawing::section($story, $s)), 'above' => array_map(ShapeView::of(...), FoldDrawing::above($story, $s))], $story->steps),
        );
    }
}
