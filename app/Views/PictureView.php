<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Picture\Label;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\Shape;
use OpenSeam\Core\Words;

/** A picture: what is drawn first lies below. */
#[OA\Schema]
final readonly class PictureView
{
    /**
     * @param  array{left: float, top: float, width: float, height: float}  $box
     * @param  list<array{role: string, d: string}>  $shapes
     * @param  list<array{text: string, x: float, y: float, anchor: string}>  $labels
     */
    public function __construct(
        #[OA\Property(type: 'object', required: ['left', 'top', 'width', 'height'], properties: [new OA\Property(property: 'left', type: 'number'), new OA\Property(property: 'top', type: 'number'), new OA\Property(property: 'width', type: 'number'), new OA\Property(property: 'height', type: 'number')], description: 'mm, x to the right and y down')] public array $box,
        #[OA\Property(description: 'height of its words, mm')] public float $word,
        #[OA\Property(description: 'one mm in it is one mm of what it shows')] public bool $to_scale,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['role', 'd'], properties: [new OA\Property(property: 'role', type: 'string', description: 'what it stands for'), new OA\Property(property: 'd', type: 'string', description: 'its path, mm')], type: 'object'))] public array $shapes,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['text', 'x', 'y', 'anchor'], properties: [new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number'), new OA\Property(property: 'anchor', type: 'string', enum: ['start', 'middle', 'end'])], type: 'object'))] public array $labels,
    ) {}

    public static function of(Picture $picture, Words $words): self
    {
        $box = array_map(fn (float $v): float => round($v, 2), $picture->box());
        // A thousandth of its width is finer than any screen shows it.
        $decimals = max($box['width'], $box['height']) >= 80 ? 1 : 2;

        return new self(
            $box, round($picture->wordMm(), 2), $picture->toScale,
            array_map(fn (Shape $s): array => ['role' => $s->role, 'd' => self::path($s, $decimals)], $picture->shapes),
            array_map(fn (Label $l): array => ['text' => $l->text($words), 'x' => round($l->x, 2), 'y' => round($l->y, 2), 'anchor' => $l->anchor], $picture->labels),
        );
    }

    private static function path(Shape $shape, int $decimals): string
    {
        $points = array_map(fn (array $p): string => round($p[0], $decimals).' '.round($p[1], $decimals), $shape->points);

        return 'M'.implode('L', $points).($shape->isArea() ? 'Z' : '');
    }
}
