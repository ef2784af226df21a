<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\Story;
use OpenSeam\Core\Words;

/** A lesson drawn: each act of its demonstration and each step, in their order. */
#[OA\Schema]
final readonly class LessonPicturesView
{
    /**
     * @param  list<PictureView>  $acts
     * @param  list<PictureView>  $steps
     * @param  list<FoldView>  $stories
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: PictureView::class))] public array $acts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PictureView::class))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FoldView::class), description: 'something of it, picture after picture')] public array $stories,
    ) {}

    public static function of(LessonPictures $pictures, Lesson $lesson, Words $words): self
    {
        $view = fn (Picture $p): PictureView => PictureView::of($p, $words);

        return new self(array_map($view, $pictures->acts), array_map($view, $pictures->steps), array_map(fn (Story $story, array $drawn): FoldView => FoldView::told($story, $drawn, $words), $lesson->stories, $pictures->stories));
    }
}
