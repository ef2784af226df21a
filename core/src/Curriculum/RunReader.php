<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Sampler\Run\ArcRun;
use OpenSeam\Core\Sampler\Run\EdgeRun;
use OpenSeam\Core\Sampler\Run\LineRun;
use OpenSeam\Core\Sampler\Run\RoundSpiralRun;
use OpenSeam\Core\Sampler\Run\Run;
use OpenSeam\Core\Sampler\Run\SCurveRun;
use OpenSeam\Core\Sampler\Run\SquareSpiralRun;

/** Makes a run from a bundle's JSON: the one list of kinds there are. */
final class RunReader
{
    /** @throws InputError when the kind is unknown, or something of it is missing */
    public static function read(Data $d): Run
    {
        $kind = $d->text('run');

        return match ($kind) {
            'edge' => new EdgeRun($d->text('edge'), $d->number('distance_mm'), $d->number('from_mm'), $d->number('to_mm')),
            'line' => new LineRun(self::corners($d)),
            'arc' => new ArcRun(self::point($d, 'centre'), $d->number('radius_mm'), $d->number('from_deg'), $d->number('to_deg')),
            'circle' => new ArcRun(self::point($d, 'centre'), $d->number('radius_mm'), $d->number('from_deg', 0.0), $d->number('from_deg', 0.0) + 360),
            's-curve' => new SCurveRun(self::point($d, 'from'), self::point($d, 'to'), $d->number('swing_mm')),
            'square-spiral' => new SquareSpiralRun($d->number('margin_mm'), $d->number('lane_mm'), $d->whole('corners')),
            'round-spiral' => new RoundSpiralRun(self::point($d, 'centre'), $d->number('radius_mm'), $d->number('lane_mm'), $d->number('turns')),
            default => throw InputError::at($d->path('run'), $kind, 'A row runs along one of: edge, line, square-spiral, arc, circle, s-curve, round-spiral.'),
        };
    }

    /**
     * @return array{float, float}
     *
     * @throws InputError when it is not two numbers
     */
    public static function point(Data $d, string $name): array
    {
        $point = $d->numbers($name);

        return count($point) === 2 ? [$point[0], $point[1]] : throw InputError::at($d->path($name), $point, 'A point is two numbers in mm: [from the left, from the top].');
    }

    /** @return list<array{float, float}> */
    private static function corners(Data $d): array
    {
        $corners = [];
        foreach ($d->items('through') as $i => $corner) {
            $corners[] = is_array($corner) && is_numeric($corner[0] ?? null) && is_numeric($corner[1] ?? null)
                ? [(float) $corner[0], (float) $corner[1]]
                : throw InputError::at($d->path("through[$i]"), $corner, 'A corner is two numbers in mm: [from the left, from the top].');
        }

        return $corners;
    }
}
