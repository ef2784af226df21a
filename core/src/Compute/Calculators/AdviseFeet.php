<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Advice\FeetAdviser;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\FootBook;

/** Which feet to have for what someone wants to sew. */
final class AdviseFeet implements Calculator
{
    public function name(): string
    {
        return 'advise-feet';
    }

    public function summary(): string
    {
        return 'Feet needed for what someone wants to sew, which to leave, and what is there already.';
    }

    public function schema(): array
    {
        return Schema::object([
            'wants' => Schema::list('what they want to sew', Schema::oneOf('a wish', array_column(FeetAdviser::wants(), 'id')), 1, 50),
            'have' => ['type' => 'object', 'description' => 'how many of each kind are there', 'additionalProperties' => Schema::whole('feet', 0, 1000)],
        ], ['have']);
    }

    public function answer(): array
    {
        $foot = ['kind' => Schema::text('kind of foot'), 'title' => Schema::text('its name')];
        $line = Schema::object($foot + ['have' => Schema::whole('there already', 0, 1000), 'why' => Schema::text('reason', 500)]);

        return Schema::object([
            'need' => Schema::list('cannot do without', $line), 'helps' => Schema::list('makes it easier', $line), 'leave' => Schema::list('not for these wishes', Schema::object($foot)),
            'needles' => Schema::list('needles that matter more', Schema::text('a point')),
        ]);
    }

    public function example(): array
    {
        return ['wants' => ['knits', 'buttonholes', 'leather'], 'have' => ['standard' => 8, 'buttonhole-four-step' => 3, 'roller' => 1]];
    }

    public function run(Data $in): array
    {
        $have = [];
        foreach (array_keys($in->part('have')->raw()) as $kind) {
            $have[FootBook::standard()->get((string) $kind, "have.$kind")->id] = $in->part('have')->whole((string) $kind);
        }
        foreach ($in->texts('wants') as $i => $want) {
            in_array($want, array_slice($in->texts('wants'), 0, $i), true) && throw InputError::at("wants[$i]", $want, 'Each wish once.');
        }

        return FeetAdviser::advise($in->texts('wants'), $have);
    }
}
