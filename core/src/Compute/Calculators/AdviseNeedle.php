<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Advice\NeedleAdviser;
use OpenSeam\Core\Advice\Thread;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Tables;

/** Needle size and point for cloth and thread. */
final class AdviseNeedle implements Calculator
{
    public function name(): string
    {
        return 'advise-needle';
    }

    public function summary(): string
    {
        return 'Needle size and point for a cloth, a stack and a thread, with reasons and warnings.';
    }

    public function schema(): array
    {
        $ids = fn (string $list): array => array_map(fn (Data $d): string => $d->text('id'), Tables::read('needles')->parts($list));

        return Schema::object([
            'weight' => Schema::oneOf('class of cloth by weight', $ids('cloths')),
            'cloth' => Schema::oneOf('how it is made', $ids('kinds')),
            'stack_mm' => Schema::number('all layers together, mm; default 0.6', 0, 20),
            'thread' => Schema::number('the number on the thread', null, 10_000, 0),
            'thread_unit' => Schema::oneOf('what the number means; default tex', Thread::UNITS),
            'fibre' => Schema::oneOf('of the thread; default polyester', array_map(strval(...), array_keys(Tables::read('needles')->part('fibres')->raw()))),
            'fitted' => Schema::whole('size of the needle in the machine', 50, 200),
            'hours' => Schema::number('it has sewn', 0, 10_000),
        ], ['stack_mm', 'thread', 'thread_unit', 'fibre', 'fitted', 'hours']);
    }

    public function answer(): array
    {
        return Schema::object([
            'metric' => Schema::whole('size', 50, 200), 'number' => Schema::whole('the other number on the packet', 1, 40), 'point' => Schema::text('point'),
            'reasons' => Schema::list('why', Schema::text('a sentence', 500)), 'warnings' => Schema::list('mind', Schema::text('a sentence', 500)),
            'thread' => ['type' => ['object', 'null'], 'properties' => [
                'tex' => Schema::number('g for each km'), 'denier' => Schema::number('9 tex'), 'weight' => Schema::number('km for each kg'), 'ticket' => Schema::number('about 3000/tex'), 'diameter_mm' => Schema::number('mm'),
            ], 'required' => ['tex', 'denier', 'weight', 'ticket', 'diameter_mm']],
        ]);
    }

    public function example(): array
    {
        return ['weight' => 'medium', 'cloth' => 'woven', 'stack_mm' => 0.8, 'thread' => 12, 'thread_unit' => 'weight', 'fibre' => 'cotton', 'fitted' => 80, 'hours' => 9];
    }

    public function run(Data $in): array
    {
        $thread = $in->has('thread') ? Thread::of($in->number('thread'), $in->text('thread_unit', 'tex')) : null;
        $advice = NeedleAdviser::advise(
            $in->text('weight'), $in->text('cloth'), $in->number('stack_mm', 0.6), $thread, $in->has('fitted') ? $in->whole('fitted') : null, $in->numberOrNull('hours'),
        );

        return [
            'metric' => $advice->metric, 'number' => $advice->number, 'point' => $advice->point, 'reasons' => $advice->reasons, 'warnings' => $advice->warnings,
            'thread' => $thread === null ? null : [
                'tex' => $thread->tex, 'denier' => $thread->denier(), 'weight' => $thread->weight(), 'ticket' => $thread->ticket(), 'diameter_mm' => $thread->diameterMm($in->text('fibre', 'polyester')),
            ],
        ];
    }
}
