<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use App\Http\SaysWay;
use App\Views\WayView;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'version', description: 'of the lesson that was sewn; the one on the shelf where it is not given'),
    new OA\Property(property: 'way', ref: WayView::class, nullable: true, description: 'it was sewn in; the usual one where it is not given'),
    new OA\Property(property: 'marks', description: 'place along the row and distance to the edge there, mm'),
    new OA\Property(property: 'row_mm', description: 'how much of the row was measured'),
    new OA\Property(property: 'stitch_u_mm', description: 'standard uncertainty of the length of a stitch'),
    new OA\Property(property: 'edge_u_mm', description: 'standard uncertainty of a distance to the edge'),
])]
final class PictureReadingsBody extends Body
{
    use SaysWay;

    public function rules(): array
    {
        return [
            'lesson' => ['required', 'string', 'max:60'], 'version' => ['nullable', 'integer', 'min:1'], 'row' => ['required', 'string', 'max:60'],
            'marks' => ['present', 'array', 'max:2000'], 'marks.*' => ['array', 'size:2'], 'marks.*.*' => ['numeric', 'min:-10000', 'max:10000'],
            'stitch_mm' => ['nullable', 'numeric', 'min:0.1', 'max:100'], 'row_mm' => ['required', 'numeric', 'min:0', 'max:10000'],
            'stitch_u_mm' => ['nullable', 'numeric', 'min:0', 'max:10'], 'edge_u_mm' => ['nullable', 'numeric', 'min:0', 'max:10'],
            ...self::wayRules(),
        ];
    }

    /** @return list<array{float, float}> */
    public function marks(): array
    {
        $marks = [];
        foreach ($this->asSent('marks') as $mark) {
            $mark = is_array($mark) ? array_values($mark) : [];
            $marks[] = [is_numeric($mark[0] ?? null) ? (float) $mark[0] : 0.0, is_numeric($mark[1] ?? null) ? (float) $mark[1] : 0.0];
        }

        return $marks;
    }

    public function amountOrNull(string $name): ?float
    {
        return $this->validated($name) === null ? null : $this->amount($name);
    }
}
