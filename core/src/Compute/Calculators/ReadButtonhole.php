<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Buttonhole\HoleChecks;
use OpenSeam\Core\Buttonhole\HolePlan;
use OpenSeam\Core\Buttonhole\HoleReading;
use OpenSeam\Core\Buttonhole\HoleVerdict;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\ButtonholeWay;

/** A sewn buttonhole by ruler and eye. */
final class ReadButtonhole implements Calculator
{
    public function name(): string
    {
        return 'read-buttonhole';
    }

    public function summary(): string
    {
        return 'Verdicts on a sewn buttonhole from what ruler and eye say, the one change to make, and the skill it speaks of.';
    }

    public function schema(): array
    {
        $mm = fn (string $what, float $min = 0.0, float $max = 500.0): array => Schema::number($what, $min, $max);
        $flag = fn (string $what): array => ['type' => 'boolean', 'description' => $what];
        $read = [
            'left_mm' => $mm('the left side, over both bars'), 'right_mm' => $mm('the right side, over both bars'), 'bar_front_mm' => $mm('along the hole'), 'bar_back_mm' => $mm('along the hole'),
            'front_from_mark_mm' => $mm('of the front end, beyond its mark positive', -500), 'back_from_mark_mm' => $mm('of the back end, beyond its mark positive', -500),
            'gap_mm' => $mm('between the sides', 0, 20), 'points_left' => $mm('needle points in 10 mm', 0, 200), 'points_right' => $mm('needle points in 10 mm', 0, 200),
            'cloth_shows_left' => Schema::oneOf('between the stitches', HoleReading::SHOWS), 'cloth_shows_right' => Schema::oneOf('between the stitches', HoleReading::SHOWS),
            'edge_front_mm' => $mm('of the front end from the edge of the band'), 'edge_back_mm' => $mm('of the back end'),
            'puckered' => $flag('not flat'), 'thread_caught' => $flag('sewn over'), 'nest' => $flag('at the start'), 'tied' => $flag('both ends'), 'ridge' => $flag('it stuck, or thread heaped up'), 'start_gap' => $flag('where it began'),
            'opening_mm' => $mm('as it is cut'), 'button' => Schema::oneOf('in the opening', HoleReading::BUTTON), 'bar_cut' => $flag('into'), 'side_cut' => $flag('into'),
        ];

        return Schema::object([
            'planned' => Schema::object(['finished_mm' => Schema::number('over both bars', null, 500, 0), 'opening_mm' => Schema::number('between them', null, 500, 0), 'half_wrap_mm' => Schema::number('half the way round the button', null, 500, 0), 'points_per_10' => Schema::number('needle points in 10 mm of a side', null, 200, 0)], ['points_per_10']),
            'machine' => Schema::object(['way' => Schema::oneOf('it sews them', array_column(ButtonholeWay::cases(), 'value')), 'starts' => Schema::oneOf('the end it starts', ['front', 'back', '', 'unknown']), 'balance' => $flag('it has a control for both sides')], ['starts', 'balance']),
            'read' => Schema::object($read, array_keys($read)),
        ]);
    }

    public function answer(): array
    {
        return Schema::object([
            'checks' => Schema::list('what was read', Schema::object(['id' => Schema::text('check'), 'value' => ['description' => 'as read, or worked out from it: mm, a share, a word, yes or no'], 'verdict' => Schema::oneOf('by the tolerances to start from', ['met', 'near', 'not-yet'])])),
            'seen' => ['type' => ['string', 'null'], 'description' => 'the first row of the table that holds'], 'change' => Schema::object(['text' => Schema::text('the one thing to do', 400), 'by_mm' => Schema::number('of it')], ['by_mm']),
            'skill' => ['type' => ['string', 'null'], 'description' => 'it speaks of'], 'next_opening_mm' => Schema::number('to plan next'),
        ], ['next_opening_mm']);
    }

    public function example(): array
    {
        return [
            'planned' => ['finished_mm' => 21, 'opening_mm' => 18, 'half_wrap_mm' => 18, 'points_per_10' => 25], 'machine' => ['way' => 'four-step', 'starts' => 'front'],
            'read' => ['left_mm' => 21, 'right_mm' => 22.5, 'gap_mm' => 0.8, 'opening_mm' => 18, 'button' => 'snug'],
        ];
    }

    public function run(Data $in): array
    {
        $planned = $in->part('planned');
        $machine = $in->part('machine');
        $plan = new HolePlan($planned->number('finished_mm'), $planned->number('opening_mm'), $planned->number('half_wrap_mm'), $planned->numberOrNull('points_per_10'));
        $read = HoleReading::read($in->part('read'));
        $verdict = HoleVerdict::of($plan, $read, ButtonholeWay::from($machine->text('way')), $machine->text('starts', ''), $machine->flag('balance', false));

        return [
            'checks' => HoleChecks::of($plan, $read), 'seen' => $verdict->seen,
            'change' => ['text' => $verdict->text] + ($verdict->byMm === null ? [] : ['by_mm' => $verdict->byMm]),
            'skill' => $verdict->skill,
        ] + ($verdict->nextOpeningMm === null ? [] : ['next_opening_mm' => $verdict->nextOpeningMm]);
    }
}
