<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Views\DrawingView;
use App\Views\LessonPicturesView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\LessonDraft;
use OpenSeam\Core\Curriculum\RowInRoom;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Words;

/** A lesson on the drafting table, as the core reads it. */
#[OA\Schema]
final readonly class DraftView
{
    /**
     * @param  list<DraftRowView>  $rows
     * @param  list<DraftProblemView>  $problems
     */
    public function __construct(
        #[OA\Property(nullable: true)] public ?DrawingView $drawing,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DraftRowView::class))] public array $rows,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DraftProblemView::class))] public array $problems,
        #[OA\Property(description: 'rows together, for a beginner')] public float $minutes,
        #[OA\Property(description: 'of each of the two threads')] public float $thread_mm,
        #[OA\Property(description: 'it can be kept as it is')] public bool $fits,
        #[OA\Property(nullable: true, description: 'its acts and steps as they are drawn now')] public ?LessonPicturesView $pictures,
    ) {}

    public static function of(LessonDraft $draft, Words $words): self
    {
        $figures = $draft->layout->rows ?? [];
        $rows = array_map(fn (Row $r): DraftRowView => new DraftRowView(
            $r->id, $r->title, $figures[$r->id]['stitches'] ?? 0, $figures[$r->id]['row_mm'] ?? 0.0, $figures[$r->id]['thread_mm'] ?? 0.0, $figures[$r->id]['minutes'] ?? 0.0,
            (object) array_column(array_map(fn (CheckSpec $c): array => [$c->id, $c->allows], $r->checks), 1, 0),
            array_map(fn (RowInRoom $in): RowFitView => RowFitView::of($in), $draft->room[$r->id] ?? []),
        ), array_values($draft->lesson->sampler->rows ?? []));

        return new self(
            $draft->lesson === null ? null : DrawingView::of($draft->lesson), $rows, array_map(DraftProblemView::of(...), $draft->problems),
            array_sum(array_column($figures, 'minutes')), array_sum(array_column($figures, 'thread_mm')), $draft->fits(),
            $draft->pictures === null || $draft->lesson === null ? null : LessonPicturesView::of($draft->pictures, $draft->lesson, $words),
        );
    }
}
