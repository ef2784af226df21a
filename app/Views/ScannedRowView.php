<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Scan\LaidFlat;
use OpenSeam\Core\Scan\PictureReadings;
use OpenSeam\Core\Scan\ScannedRow;

/** What a picture says of one row. */
#[OA\Schema]
final readonly class ScannedRowView
{
    /**
     * @param  array<string, list<string>>  $readings
     * @param  list<list<array{float, float}>>  $seen
     * @param  list<array{float, float}>  $skipped
     */
    private function __construct(
        #[OA\Property] public string $row,
        #[OA\Property] public string $title,
        #[OA\Property(nullable: true, description: 'why nothing of it can be told')] public ?string $cannot,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')), description: 'by "row.reading", as they are typed')] public array $readings,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))), description: 'where each stretch of it runs, pixels of the picture')] public array $seen,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), description: 'where single stitches are twice as long as the others, pixels')] public array $skipped,
        #[OA\Property(nullable: true, description: 'standard deviation of a stitch, of its length; null: single stitches are not told')] public ?float $uneven,
    ) {}

    public static function of(ScannedRow $found, Row $row, LaidFlat $picture, Unit $unit): self
    {
        $readings = [];
        foreach ($found->readings as $id => $values) {
            $field = $row->fields[$id];
            $u = array_map(fn (?Reading $r): ?float => $r?->u, $values);
            // Each as unsure as it is; a count with its length goes as one.
            $readings["$found->row.$id"] = PictureReadings::typedEach($field, array_map(fn (?Reading $r): ?float => $r?->value, $values), $u, $unit);
        }

        return new self($found->row, $found->title, $found->cannot?->value, $readings, array_map(fn (array $line): array => array_map(fn (array $p): array => $picture->pixel(...$p), $line), $found->seen),
            array_map(fn (array $p): array => $picture->pixel(...$p), $found->skipped), $found->uneven === null ? null : round($found->uneven, 3));
    }
}
