<?php

declare(strict_types=1);

namespace OpenSeam\Core\Advice;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Tables;

/**
 * Which feet a person needs for what they want to sew, which to leave, and what
 * is there already. Feet cost real money: nothing is advised for a wish not
 * made. Common practice, no source.
 */
final class FeetAdviser
{
    /**
     * @param  list<string>  $wants  ids of wishes
     * @param  array<string, int>  $have  how many of each kind the room has
     * @param  array<string, float>  $prices  of a foot, by kind
     * @param  array<string, float>  $times  how often something of a wish is sewn in a year, by wish
     * @param  float|null  $hourWorth  what an hour is worth, in what the prices are in
     * @return array{need: list<array{kind: string, title: string, have: int, why: string, price: float|null}>, helps: list<array{kind: string, title: string, have: int, why: string, minutes_a_year: float, price: float|null, price_per_hour: float|null, pays_after_years: float|null, verdict: string}>, leave: list<array{kind: string, title: string}>, needles: list<string>, price_of_need: float|null}
     *
     * @throws InputError when a wish is unknown
     */
    public static function advise(array $wants, array $have, array $prices = [], array $times = [], ?float $hourWorth = null): array
    {
        $table = [];
        foreach (Tables::read('feet')->parts('wants') as $want) {
            $table[$want->text('id')] = $want;
        }
        $need = [];
        $helps = [];
        $needles = [];
        $saved = [];
        foreach ($wants as $i => $id) {
            $want = $table[$id] ?? throw InputError::at("wants[$i]", $id, 'It must be one of: '.implode(', ', array_keys($table)).'.');
            foreach ($want->texts('needs') as $either) {
                $kind = self::choose(explode('|', $either), $have);
                $need[$kind] ??= self::line($kind, $have, $want);
            }
            foreach ($want->texts('helps') as $kind) {
                $helps[$kind] ??= self::line($kind, $have, $want);
                $saved[$kind] = ($saved[$kind] ?? 0.0) + $want->part('saves')->number($kind) * ($times[$id] ?? FootWorth::TIMES_A_YEAR);
            }
            $want->has('needle') && $needles[] = $want->text('needle');
        }
        $helps = array_diff_key($helps, $need);
        $leave = array_diff_key(FootBook::standard()->all(), $need, $helps);

        $helps = array_map(fn (array $line): array => [...$line, ...(new FootWorth($saved[$line['kind']], $prices[$line['kind']] ?? null, $hourWorth, $line['have'] > 0))->facts()], array_values($helps));
        // What gives most for its price first; without prices what saves most.
        usort($helps, fn (array $a, array $b): int => [$a['have'] > 0, $a['price_per_hour'] ?? PHP_FLOAT_MAX, -$a['minutes_a_year']] <=> [$b['have'] > 0, $b['price_per_hour'] ?? PHP_FLOAT_MAX, -$b['minutes_a_year']]);
        $need = array_map(fn (array $line): array => [...$line, 'price' => $prices[$line['kind']] ?? null], array_values($need));
        $toGet = array_filter($need, fn (array $line): bool => $line['have'] === 0);

        return [
            'need' => $need, 'helps' => $helps,
            'leave' => array_values(array_map(fn ($kind): array => ['kind' => $kind->id, 'title' => $kind->title], $leave)),
            'needles' => array_values(array_unique($needles)),
            // Nobody knows it while one of them has no price.
            'price_of_need' => array_filter($toGet, fn (array $line): bool => $line['price'] === null) === [] ? (float) array_sum(array_column($toGet, 'price')) : null,
        ];
    }

    /** @return list<array{id: string, title: string}> */
    public static function wants(): array
    {
        return array_map(fn (Data $w): array => ['id' => $w->text('id'), 'title' => $w->text('title')], Tables::read('feet')->parts('wants'));
    }

    /**
     * Of several that do, the one that is there already.
     *
     * @param  list<string>  $kinds
     * @param  array<string, int>  $have
     */
    private static function choose(array $kinds, array $have): string
    {
        foreach ($kinds as $kind) {
            if (($have[$kind] ?? 0) > 0) {
                return $kind;
            }
        }

        return $kinds[0];
    }

    /**
     * @param  array<string, int>  $have
     * @return array{kind: string, title: string, have: int, why: string}
     */
    private static function line(string $kind, array $have, Data $want): array
    {
        return ['kind' => $kind, 'title' => FootBook::standard()->get($kind)->title, 'have' => $have[$kind] ?? 0, 'why' => ucfirst($want->text('title')).': '.$want->text('why')];
    }
}
