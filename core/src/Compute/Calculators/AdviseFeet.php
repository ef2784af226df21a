<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Advice\FeetAdviser;
use OpenSeam\Core\Advice\FootWorth;
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
            'prices' => ['type' => 'object', 'description' => 'price of a foot, by kind, in any currency', 'additionalProperties' => Schema::number('price', 0, 100_000)],
            'times_a_year' => ['type' => 'object', 'description' => 'how often something of a wish is sewn in a year; '.FootWorth::TIMES_A_YEAR.' where nothing is said', 'additionalProperties' => Schema::number('times', 0, 10_000)],
            'hour_worth' => ['type' => ['number', 'null'], 'description' => 'what an hour is worth, in what the prices are in', 'minimum' => 0, 'maximum' => 100_000],
        ], ['have', 'prices', 'times_a_year', 'hour_worth']);
    }

    public function answer(): array
    {
        $foot = ['kind' => Schema::text('kind of foot'), 'title' => Schema::text('its name')];
        $maybe = fn (string $what): array => ['type' => ['number', 'null'], 'description' => $what, 'minimum' => 0];
        $line = $foot + ['have' => Schema::whole('there already', 0, 1000), 'why' => Schema::text('reason', 500), 'price' => $maybe('price of one')];
        $helps = $line + [
            'minutes_a_year' => Schema::number('minutes saved in a year', 0), 'price_per_hour' => $maybe('what an hour saved in the first year costs'), 'pays_after_years' => $maybe('until the time saved is worth the price'),
            'verdict' => Schema::oneOf('weighed', ['here', 'worth-it', 'in-time', 'not-worth', 'unweighed']),
        ];

        return Schema::object([
            'need' => Schema::list('cannot do without', Schema::object($line)), 'helps' => Schema::list('makes it easier, what gives most for its price first', Schema::object($helps)), 'leave' => Schema::list('not for these wishes', Schema::object($foot)),
            'needles' => Schema::list('needles that matter more', Schema::text('a point')),
            'price_of_need' => $maybe('what those cost together that are needed and not there; null while a price is not known'),
        ]);
    }

    public function example(): array
    {
        return ['wants' => ['knits', 'buttonholes', 'leather'], 'have' => ['standard' => 8, 'buttonhole-four-step' => 3, 'roller' => 1], 'prices' => ['satin' => 9, 'walking' => 28], 'times_a_year' => ['knits' => 20], 'hour_worth' => 15];
    }

    public function run(Data $in): array
    {
        $have = $prices = $times = [];
        foreach (array_keys($in->part('have')->raw()) as $kind) {
            $have[FootBook::standard()->get((string) $kind, "have.$kind")->id] = $in->part('have')->whole((string) $kind);
        }
        foreach (array_keys($in->part('prices')->raw()) as $kind) {
            $prices[FootBook::standard()->get((string) $kind, "prices.$kind")->id] = $in->part('prices')->numberWithin((string) $kind, null, 0, 100_000, 'for one');
        }
        $wishes = array_column(FeetAdviser::wants(), 'id');
        foreach (array_keys($in->part('times_a_year')->raw()) as $want) {
            in_array($want, $wishes, true) || throw InputError::at("times_a_year.$want", $want, 'It must be one of: '.implode(', ', $wishes).'.');
            $times[$want] = $in->part('times_a_year')->numberWithin((string) $want, null, 0, 10_000, 'times');
        }
        foreach ($in->texts('wants') as $i => $want) {
            in_array($want, array_slice($in->texts('wants'), 0, $i), true) && throw InputError::at("wants[$i]", $want, 'Each wish once.');
        }

        return FeetAdviser::advise($in->texts('wants'), $have, $prices, $times, $in->numberOrNull('hour_worth'));
    }
}
