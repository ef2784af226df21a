<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Sampler\Drawing;

/** A sampler to scale, in mm from its top left corner. */
#[OA\Schema]
final readonly class DrawingView
{
    /**
     * @param  list<PieceView>  $pieces
     * @param  list<RowLineView>  $rows
     * @param  list<MarkView>  $marks
     * @param  list<LineView>  $lines
     */
    public function __construct(
        #[OA\Property] public float $width,
        #[OA\Property] public float $height,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PieceView::class))] public array $pieces,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RowLineView::class))] public array $rows,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MarkView::class))] public array $marks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LineView::class))] public array $lines,
    ) {}

    public static function of(Lesson|Drill $lesson): ?self
    {
        $sampler = $lesson instanceof Drill ? $lesson->sampler() : $lesson->sampler;
        if ($sampler->pieces === []) {
            return null;
        }
        $drawing = Drawing::of($sampler);

        return new self(
            $drawing->widthMm(), $drawing->heightMm(),
            array_map(fn (array $p): PieceView => new PieceView(...$p), $drawing->pieces()),
            array_map(fn (array $r): RowLineView => new RowLineView(...$r), $drawing->rows()),
            array_map(fn (array $m): MarkView => new MarkView(...$m), $drawing->marks()),
            array_map(fn (array $l): LineView => new LineView(...$l), $drawing->lines()),
        );
    }
}
