<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Scan\Perspective;
use OpenSeam\Core\Scan\PictureMeasure;

/** Lengths and distances from points clicked on a picture. */
final class MeasurePicture implements Calculator
{
    public function name(): string
    {
        return 'measure-picture';
    }

    public function summary(): string
    {
        return 'Stitch lengths and the distance to the cloth edge from points clicked on a scan or a photograph.';
    }

    public function schema(): array
    {
        $point = ['type' => 'array', 'items' => Schema::number('pixels', -100_000, 100_000), 'minItems' => 2, 'maxItems' => 2, 'description' => 'across and down'];

        return Schema::object([
            'scale' => Schema::object(['from' => $point, 'to' => $point, 'mm' => Schema::number('between them on the ruler', null, 10_000, 0)]),
            'corners' => Schema::object(['points' => Schema::list('four corners of a rectangle, one after the other', $point, 4, 4), 'wide_mm' => Schema::number('first to second', null, 10_000, 0), 'high_mm' => Schema::number('second to third', null, 10_000, 0)]),
            'needle' => Schema::list('needle points in order', $point, 0, 2000), 'edge' => Schema::list('points of the cloth edge', $point, 0, 200),
        ], ['scale', 'corners', 'edge']);
    }

    public function answer(): array
    {
        $reading = ['anyOf' => [['type' => 'null'], Schema::object(['mm' => Schema::number('value'), 'u_mm' => Schema::number('standard uncertainty')])]];

        return Schema::object([
            'lengths_mm' => Schema::list('from each needle point to the next', Schema::number('mm')), 'length' => $reading + ['description' => 'their mean'],
            'marks' => Schema::list('each needle point', Schema::object(['at_mm' => Schema::number('along the row'), 'allowance_mm' => Schema::number('to the edge')])), 'allowance' => $reading + ['description' => 'mean distance to the edge'],
        ]);
    }

    public function example(): array
    {
        return ['scale' => ['from' => [100, 100], 'to' => [1281, 100], 'mm' => 100], 'needle' => [[400, 100], [400, 130], [400, 159]], 'edge' => [[588, 90], [588, 400]]];
    }

    public function run(Data $in): array
    {
        $in->has('scale') !== $in->has('corners') || throw InputError::at('scale', null, 'Give either two points of a ruler (scale) or four corners of a rectangle (corners).');
        $view = $in->has('scale')
            ? Perspective::scale(self::point($in->part('scale'), 'from'), self::point($in->part('scale'), 'to'), $in->part('scale')->number('mm'))
            : Perspective::rectangle(self::points($in->part('corners'), 'points'), $in->part('corners')->number('wide_mm'), $in->part('corners')->number('high_mm'));
        $found = PictureMeasure::of($view, self::points($in, 'needle'), $in->has('edge') ? self::points($in, 'edge') : []);
        $said = fn (?Reading $r): ?array => $r === null ? null : ['mm' => $r->value, 'u_mm' => $r->u];

        return [
            'lengths_mm' => $found->lengths, 'length' => $said($found->length),
            'marks' => array_map(fn (array $m): array => ['at_mm' => $m[0], 'allowance_mm' => $m[1]], $found->marks), 'allowance' => $said($found->allowance),
        ];
    }

    /** @return array{float, float} */
    private static function point(Data $in, string $name): array
    {
        $numbers = $in->numbers($name);

        return [$numbers[0] ?? 0.0, $numbers[1] ?? 0.0];
    }

    /** @return list<array{float, float}> */
    private static function points(Data $in, string $name): array
    {
        return array_map(function (mixed $p): array {
            $p = is_array($p) ? array_values($p) : [];

            return [is_numeric($p[0] ?? null) ? (float) $p[0] : 0.0, is_numeric($p[1] ?? null) ? (float) $p[1] : 0.0];
        }, $in->items($name));
    }
}
