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
     * @return array{need: list<array{kind: string, title: string, have: int, why: string}>, helps: list<array{kind: string, title: string, have: int, why: string}>, leave: list<array{kind: string, title: string}>, needles: list<string>}
     *
     * @throws InputError when a wish is unknown
     */
    public static function advise(array $wants, array $have): array
    {
        $table = [];
        foreach (Tables::read('feet')->parts('wants') as $want) {
            $table[$want->text('id')] = $want;
        }
        $need = [];
        $helps = [];
        $needles = [];
        foreach ($wants as $i => $id) {
            $want = $table[$id] ?? throw InputError::at("wants[$i]", $id, 'It must be one of: '.implode(', ', array_keys($table)).'.');
            foreach ($want->texts('needs') as $either) {
                $kind = self::choose(explode('|', $either), $have);
                $need[$kind] ??= self::line($kind, $have, $want);
            }
            foreach ($want->texts('helps') as $kind) {
                $helps[$kind] ??= self::line($kind, $have, $want);
            }
            $want->has('needle') && $needles[] = $want->text('needle');
        }
        $helps = array_diff_key($helps, $need);
        $leave = array_diff_key(FootBook::standard()->all(), $need, $helps);

        return [
            'need' => array_values($need), 'helps' => array_values($helps),
            'leave' => array_values(array_map(fn ($kind): array => ['kind' => $kind->id, 'title' => $kind->title], $leave)),
            'needles' => array_values(array_unique($needles)),
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
