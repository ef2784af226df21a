<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\Story;
use OpenSeam\Core\Words;

/**
 * A lesson drawn: each act of its demonstration and each step, in their order, and
 * what of it is told picture after picture. What stands in several pictures, as
 * the machine does, is sent once.
 */
#[OA\Schema]
final readonly class LessonPicturesView
{
    /**
     * @param  list<array{role: string, d: string}>  $parts
     * @param  list<DrawnView>  $acts
     * @param  list<DrawnView>  $steps
     * @param  list<array{id: string, title: string, steps: list<array{say: string, picture: DrawnView}>}>  $stories
     */
    private function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(required: ['role', 'd'], properties: [new OA\Property(property: 'role', type: 'string', description: 'what it stands for'), new OA\Property(property: 'd', type: 'string', description: 'its path, mm')], type: 'object'))] public array $parts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DrawnView::class))] public array $acts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DrawnView::class))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['id', 'title', 'steps'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'steps', type: 'array', items: new OA\Items(required: ['say', 'picture'], properties: [new OA\Property(property: 'say', type: 'string'), new OA\Property(property: 'picture', ref: DrawnView::class)], type: 'object'))], type: 'object'))] public array $stories,
    ) {}

    public static function none(): self
    {
        return new self([], [], [], []);
    }

    public static function of(LessonPictures $pictures, Lesson $lesson, Words $words): self
    {
        $parts = $at = [];
        $drawn = function (Picture $picture) use (&$parts, &$at, $words): DrawnView {
            $view = PictureView::of($picture, $words);
            $uses = [];
            foreach ($view->shapes as $shape) {
                $key = "{$shape['role']} {$shape['d']}";
                if (! isset($at[$key])) {
                    $at[$key] = count($parts);
                    $parts[] = $shape;
                }
                $uses[] = $at[$key];
            }

            return new DrawnView($view->box, $view->word, $view->to_scale, $uses, $view->labels);
        };
        $acts = array_map($drawn, $pictures->acts);
        $steps = array_map($drawn, $pictures->steps);
        $stories = array_map(fn (Story $story, array $told): array => [
            'id' => $story->id, 'title' => $story->title,
            'steps' => array_map(fn (array $s, Picture $p): array => ['say' => $s['say'], 'picture' => $drawn($p)], $story->steps, $told),
        ], $lesson->stories, $pictures->stories);

        return new self($parts, $acts, $steps, $stories);
    }
}
