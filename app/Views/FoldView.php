<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Picture\FoldDrawing;
use OpenSeam\Core\Picture\FoldStory;
use OpenSeam\Core\Words;

/** How something is folded and sewn, act after act: a section across the creases, and what is seen from above. */
#[OA\Schema]
final readonly class FoldView
{
    /** @param  list<array{say: string, moves: list<PictureView>, picture: PictureView}>  $steps */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['say', 'moves', 'picture'], properties: [new OA\Property(property: 'say', type: 'string'), new OA\Property(property: 'moves', type: 'array', items: new OA\Items(ref: PictureView::class), description: 'on the way there from the step before'), new OA\Property(property: 'picture', ref: PictureView::class)], type: 'object'))] public array $steps,
    ) {}

    public static function of(FoldStory $story): self
    {
        $words = Words::in();
        $steps = [];
        foreach ($story->steps as $i => $step) {
            $before = $story->steps[$i - 1] ?? null;
            $steps[] = [
                'say' => $step->say,
                'moves' => $before === null ? [] : array_map(fn ($p): PictureView => PictureView::of($p, $words), FoldDrawing::moves($story, $before, $step)),
                'picture' => PictureView::of(FoldDrawing::whole($story, $step), $words),
            ];
        }

        return new self($story->id, $story->title, $steps);
    }
}
