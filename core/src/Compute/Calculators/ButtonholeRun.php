<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Buttonhole\Run;
use OpenSeam\Core\Buttonhole\RunFacts;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\OwnButtonhole;

/** A buttonhole, one act after another. */
final class ButtonholeRun implements Calculator
{
    public function name(): string
    {
        return 'buttonhole-run';
    }

    public function summary(): string
    {
        return 'The acts of a buttonhole on this machine, one after another, and the parts it sews with their direction.';
    }

    public function schema(): array
    {
        $flag = fn (string $what): array => ['type' => 'boolean', 'description' => $what];

        return Schema::object([
            'way' => Schema::oneOf('it sews them; none: by hand', array_column(ButtonholeWay::cases(), 'value')), 'kind' => Schema::oneOf('of buttonhole', OwnButtonhole::KINDS),
            'starts' => Schema::oneOf('the end it starts; empty: nobody has looked yet', ['front', 'back', '', 'unknown']),
            'straight_first' => $flag('straight rows before the zigzag'), 'ties_off' => $flag('by itself'), 'lever' => $flag('it has one that is pulled down'), 'corded' => $flag('over a cord'),
            'swings' => Schema::whole('of a bar', 2, 20),
        ], ['kind', 'starts', 'straight_first', 'ties_off', 'lever', 'corded', 'swings']);
    }

    public function answer(): array
    {
        $text = fn (string $what): array => Schema::text($what, 400);

        return Schema::object([
            'acts' => Schema::list('in order', Schema::object(['id' => Schema::text('of the act'), 'text' => $text('what to do'), 'at' => $text('the part under the needle'), 'caution' => $text('beside it'), 'stop_when' => $text('it is done'), 'see' => $text('what is seen when it is right')], ['at', 'caution', 'stop_when', 'see'])),
            'path' => Schema::list('parts in the order in which they are sewn', Schema::object(['part' => Schema::text('of the hole'), 'from' => Schema::text('end'), 'to' => Schema::text('end'), 'direction' => Schema::text('of the feed: forwards goes from the back of the hole to its front')])),
        ]);
    }

    public function example(): array
    {
        return ['way' => 'one-step', 'kind' => 'rectangular', 'starts' => 'back', 'straight_first' => true, 'ties_off' => false, 'lever' => true, 'corded' => false, 'swings' => 6];
    }

    public function run(Data $in): array
    {
        $starts = $in->text('starts', '');
        $run = Run::of(ButtonholeWay::from($in->text('way')), $in->text('kind', 'rectangular'), new RunFacts(
            $starts === 'unknown' ? '' : $starts, $in->flag('straight_first', false), $in->flag('ties_off', false), $in->flag('lever', false), $in->flag('corded', false),
        ), $in->whole('swings', Run::SWINGS));

        return ['acts' => $run->acts, 'path' => $run->path];
    }
}
