<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Fault\CauseBook;
use OpenSeam\Core\Fault\Diagnosis;
use OpenSeam\Core\Machine\ButtonholeWay;

/** What is behind what is seen. */
final class Diagnose implements Calculator
{
    /** When every cause was tried. */
    private const TECHNICIAN = 'Nothing is left to try: set everything back to its marks, power off, tag the machine, and let a qualified technician look.';

    public function name(): string
    {
        return 'diagnose';
    }

    public function summary(): string
    {
        return 'Likely causes of what is seen on a sample, the order to try them in, and the first change to make.';
    }

    public function schema(): array
    {
        $book = CauseBook::standard();

        return Schema::object([
            'seen' => Schema::list('faults', Schema::oneOf('fault', array_map(strval(...), array_keys($book->shares))), 1, 20),
            'known' => Schema::object([
                'settings' => Schema::object([
                    'length_mm' => Schema::number('stitch length', 0, 20), 'width_mm' => Schema::number('swing', 0, 20),
                    'tension_notches' => Schema::number('above the machine’s usual mark, below it negative', -20, 20),
                    'cloth' => Schema::oneOf('what is sewn', ['woven', 'thin', 'stretch']),
                    'stabiliser' => ['type' => 'boolean', 'description' => 'under it'], 'fast' => ['type' => 'boolean', 'description' => 'sewn fast'],
                ], ['length_mm', 'width_mm', 'tension_notches', 'cloth', 'stabiliser', 'fast']),
                'machine' => Schema::object([
                    'needle_hours' => Schema::number('sewn since the needle was new', 0, 10_000), 'needle_new' => ['type' => 'boolean', 'description' => 'fitted just now'],
                    'rethreaded' => ['type' => 'boolean', 'description' => 'the top, foot up'], 'bobbin_reseated' => ['type' => 'boolean', 'description' => 'just now'],
                    'others_here' => Schema::whole('other students with the same on this machine', 0, 1000),
                    'buttonhole' => Schema::oneOf('how it sews one', array_column(ButtonholeWay::ofMachines(), 'value')),
                ], ['needle_hours', 'needle_new', 'rethreaded', 'bobbin_reseated', 'others_here', 'buttonhole']),
                'tried' => Schema::list('causes that were tried and were not it', Schema::oneOf('cause', array_map(strval(...), array_keys($book->causes)))),
            ], ['settings', 'machine', 'tried']),
            'confirmed' => Schema::list('causes that were found before', Schema::object(['fault' => Schema::text('id'), 'cause' => Schema::text('id'), 'count' => Schema::whole('times', 1, 100_000)])),
        ], ['known', 'confirmed']);
    }

    public function answer(): array
    {
        return Schema::object([
            'causes' => Schema::list('most likely first, without those that were tried; the rest of the probability is those and something else', Schema::object(['id' => Schema::text('cause'), 'title' => Schema::text('in words'), 'probability' => Schema::number('that this is it'), 'minutes' => Schema::number('to try it'), 'skill' => ['type' => ['string', 'null'], 'description' => 'that it speaks against']])),
            'something_else' => Schema::number('probability that it is none of the table'), 'order' => Schema::texts('causes, first to try first: what puts the row right before what only prevents the next; what was tried is left out'), 'expected_minutes' => Schema::number('until it is found'),
            'first_change' => Schema::object(['cause' => ['type' => ['string', 'null'], 'description' => 'id; null when nothing is left to try'], 'kind' => Schema::text('habit, thread, needle, setting, guide, machine, or technician when nothing is left'), 'text' => Schema::text('what to do')]),
        ]);
    }

    public function example(): array
    {
        return ['seen' => ['skipped'], 'known' => ['machine' => ['needle_hours' => 12], 'settings' => ['cloth' => 'woven']]];
    }

    public function run(Data $in): array
    {
        $known = $in->has('known') ? $in->part('known') : Data::of([]);
        $facts = ($known->has('settings') ? $known->part('settings')->raw() : []) + ($known->has('machine') ? $known->part('machine')->raw() : []);
        $confirmed = [];
        foreach ($in->has('confirmed') ? $in->parts('confirmed') : [] as $c) {
            $confirmed[$c->text('fault')][$c->text('cause')] = $c->whole('count');
        }
        /** @var array<string, mixed> $facts */
        $found = Diagnosis::of($in->texts('seen'), $facts, $known->has('tried') ? $known->texts('tried') : [], $confirmed);
        $book = CauseBook::standard();
        $causes = [];
        foreach (array_intersect_key($found->causes, array_flip($found->order)) as $id => $chance) {
            $cause = $book->cause($id);
            $causes[] = ['id' => $id, 'title' => $cause->title, 'probability' => $chance, 'minutes' => $cause->minutes, 'skill' => $cause->skill];
        }
        $first = $found->first();

        return [
            'causes' => $causes, 'something_else' => $found->somethingElse(), 'order' => $found->order, 'expected_minutes' => $found->expectedMinutes,
            'first_change' => $first === null ? ['cause' => null, 'kind' => 'technician', 'text' => self::TECHNICIAN] : ['cause' => $first->id, 'kind' => $first->kind, 'text' => $first->do],
        ];
    }
}
