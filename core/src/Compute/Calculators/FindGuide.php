<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Guide;
use OpenSeam\Core\Machine\GuideFinder;

/** The guide for an allowance, with the setting to make. */
final class FindGuide implements Calculator
{
    public function name(): string
    {
        return 'find-guide';
    }

    public function summary(): string
    {
        return 'The guide and needle position for an allowance: smallest error first, then least set-up.';
    }

    public function schema(): array
    {
        $mm = fn (string $what): array => Schema::number("$what, mm to the right of the centre needle", 0, 1000);

        return Schema::object([
            'allowance_mm' => Schema::number('needle to cloth edge, mm', 0, 1000),
            'needle_positions_mm' => Schema::list('positions the needle can take, left negative; default the centre', Schema::number('mm', -20, 20), 0, 200),
            'guides' => Schema::list('what the edge can ride along', Schema::object([
                'id' => Schema::text('its name'), 'kind' => Schema::oneOf('fixed or adjustable', ['fixed', 'adjustable']),
                'distance_mm' => $mm('of a fixed guide'), 'min_mm' => $mm('of an adjustable one, nearest'), 'max_mm' => $mm('of an adjustable one, furthest'),
                'step_mm' => Schema::number('steps it is set in; 0: freely', 0, 100),
                'effort' => Schema::number('set-up it takes, only compared; default 0', 0, 1000),
            ], ['distance_mm', 'min_mm', 'max_mm', 'step_mm', 'effort']), 1, 1000),
        ], ['needle_positions_mm']);
    }

    public function answer(): array
    {
        return Schema::object(['best' => self::found(), 'all' => Schema::list('best first', self::found())]);
    }

    /** @return array<string, mixed> JSON Schema of one guide found */
    public static function found(): array
    {
        return Schema::object([
            'id' => Schema::text('the guide'), 'setting_mm' => Schema::number('where it stands, from the centre needle'), 'needle_position_mm' => Schema::number('left negative'),
            'error_mm' => Schema::number('off the allowance, either way'), 'over_mm' => Schema::number('above 0: the seam comes out wider'), 'effort' => Schema::number('as given'),
        ]);
    }

    public function example(): array
    {
        return ['allowance_mm' => 15.9, 'needle_positions_mm' => [-3.5, 0, 3.5], 'guides' => [
            ['id' => 'plate line 16', 'kind' => 'fixed', 'distance_mm' => 16, 'effort' => 0],
            ['id' => 'foot edge', 'kind' => 'fixed', 'distance_mm' => 6.5, 'effort' => 0],
            ['id' => 'guide foot', 'kind' => 'adjustable', 'min_mm' => 5, 'max_mm' => 25, 'step_mm' => 1, 'effort' => 2],
        ]];
    }

    public function run(Data $in): array
    {
        $found = GuideFinder::find($in->number('allowance_mm'), array_map(self::guide(...), $in->parts('guides')), $in->numbers('needle_positions_mm'));

        return ['best' => $found[0], 'all' => $found];
    }

    private static function guide(Data $g): Guide
    {
        if ($g->text('kind') === 'fixed') {
            foreach (['min_mm', 'max_mm', 'step_mm'] as $other) {
                $g->has($other) && throw InputError::at($g->path($other), $g->number($other), 'A fixed guide has a distance_mm and no range.');
            }

            return Guide::fixed($g->text('id'), $g->has('distance_mm') ? $g->number('distance_mm') : throw InputError::at($g->path('distance_mm'), null, 'A fixed guide needs its distance_mm.'), $g->number('effort', 0.0));
        }
        foreach (['min_mm', 'max_mm', 'step_mm'] as $needed) {
            $g->has($needed) || throw InputError::at($g->path($needed), null, 'An adjustable guide needs min_mm, max_mm and step_mm.');
        }
        $g->has('distance_mm') && throw InputError::at($g->path('distance_mm'), $g->number('distance_mm'), 'An adjustable guide has a range and no distance_mm.');
        $g->number('max_mm') >= $g->number('min_mm') || throw InputError::at($g->path('max_mm'), $g->number('max_mm'), sprintf('It must be at least min_mm, %g.', $g->number('min_mm')));

        return Guide::adjustable($g->text('id'), $g->number('min_mm'), $g->number('max_mm'), $g->number('step_mm'), $g->number('effort', 0.0));
    }
}
