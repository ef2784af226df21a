<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\Sampler;
use OpenSeam\Core\Scan\CannotRead;
use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\LaidFlat;
use OpenSeam\Core\Scan\SamplerScan;
use OpenSeam\Core\Scan\ScannedRow;

/** What a picture of a sewn sampler says, row by row; nothing of the picture is kept. */
#[OA\Schema]
final readonly class ScannedSamplerView
{
    /**
     * @param  list<array{float, float}>  $outline
     * @param  list<ScannedRowView>  $rows
     * @param  list<array{float, float}>  $slip
     */
    private function __construct(
        #[OA\Property(nullable: true, description: 'why nothing of it can be told')] public ?string $cannot,
        #[OA\Property(nullable: true)] public ?float $width_mm,
        #[OA\Property(nullable: true)] public ?float $height_mm,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), description: 'corners of the piece, pixels of the picture')] public array $outline,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ScannedRowView::class))] public array $rows,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), description: 'corners of where a slip lies on the card, pixels of the picture; empty without a card')] public array $slip,
    ) {}

    public static function of(SamplerScan $scan, LaidFlat|CannotRead $picture, Sampler $sampler, Unit $unit): self
    {
        $slip = $picture instanceof CardView ? $picture->slip() : [];
        if ($picture instanceof CannotRead || $scan->piece === null) {
            return new self($scan->cannot?->value, null, null, [], [], $slip);
        }

        return new self(
            $scan->cannot?->value, $scan->piece->widthMm(), $scan->piece->heightMm(),
            array_map(fn (array $c): array => $picture->pixel(...$c), $scan->piece->corners),
            array_map(fn (ScannedRow $r): ScannedRowView => ScannedRowView::of($r, $sampler->rows[$r->row], $picture, $unit), $scan->rows),
            $slip,
        );
    }
}
