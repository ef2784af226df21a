<?php

declare(strict_types=1);

namespace OpenSeam\Core\Advice;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\FootKind;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchKind;
use OpenSeam\Core\Words;

/**
 * Which kind a foot without a name is, from what is seen on it. Bayes' rule over
 * all kinds, each as likely before anything was seen; how often something that is
 * there is seen, and something that is not there is thought to be, is ours to
 * start from: nobody has counted it.
 */
final class FootNamer
{
    private const SEEN_IF_THERE = 0.9;

    private const SEEN_IF_NOT = 0.04;

    /** Nobody looks at everything: what was not picked speaks only a little against it. */
    private const UNSEEN_IF_THERE = 0.45;

    /** Below this nobody wants to hear of it. */
    private const LEAST = 0.05;

    /** An opening up to this to each side is a narrow hole, mm; common practice, no source. */
    private const NARROW_MM = 1.6;

    private const TOES = ['two' => 'slot', 'open' => 'open-front', 'closed' => 'no-slot', 'one' => 'one-toe', 'ring' => 'ring'];

    /** @return list<string> everything that can be seen on a foot of this kind */
    public static function seenOn(FootKind $kind): array
    {
        $wide = max($kind->usual->number('opening_left_mm'), $kind->usual->number('opening_right_mm'));

        return [self::TOES[$kind->look->text('toes', 'two')] ?? 'slot', $wide <= self::NARROW_MM ? 'narrow-hole' : 'wide-hole', ...$kind->look->texts('has')];
    }

    /** @return array<string, FootKind> everything that can be picked, each with a kind it is seen on */
    public static function all(): array
    {
        $all = [];
        foreach (FootBook::standard()->all() as $kind) {
            foreach (self::seenOn($kind) as $seen) {
                $all[$seen] ??= $kind;
            }
        }

        return $all;
    }

    /**
     * @param  list<string>  $seen
     * @return array<string, float> probability by kind, the likeliest first
     *
     * @throws InputError for something that no foot has, or nothing
     */
    public static function guess(array $seen): array
    {
        $known = array_keys(self::all());
        $seen !== [] || throw InputError::at('seen', [], 'Pick at least one thing that is seen on it: '.implode(', ', $known).'.');
        foreach ($seen as $i => $one) {
            in_array($one, $known, true) || throw InputError::at("seen[$i]", $one, 'It must be one of: '.implode(', ', $known).'.');
        }
        $likely = [];
        foreach (FootBook::standard()->all() as $id => $kind) {
            $there = self::seenOn($kind);
            $p = 1.0;
            foreach ($known as $one) {
                $is = in_array($one, $there, true);
                $p *= match (true) {
                    in_array($one, $seen, true) => $is ? self::SEEN_IF_THERE : self::SEEN_IF_NOT,
                    $is => self::UNSEEN_IF_THERE,
                    default => 1 - self::SEEN_IF_NOT,
                };
            }
            $likely[$id] = $p;
        }
        $sum = array_sum($likely);
        $likely = array_map(fn (float $p): float => $p / $sum, $likely);
        arsort($likely);

        return array_filter($likely, fn (float $p): bool => $p >= self::LEAST);
    }

    /** @return list<string> what to measure before it is used: names of its measures */
    public static function measures(FootKind $kind): array
    {
        return array_values(array_filter([
            'opening_left_mm', 'opening_right_mm', 'edge_left_mm', 'edge_right_mm',
            $kind->usual->has('edge_inner_mm') ? 'edge_inner_mm' : '', $kind->usual->has('smallest_swing_mm') ? 'smallest_swing_mm' : '', $kind->usual->has('tape_mm') ? 'tape_mm' : '', $kind->usual->has('guide') ? 'guide' : '',
        ], fn (string $m): bool => $m !== ''));
    }

    /** @return list<StitchKind> stitches that a foot with these measures is made for */
    public static function sews(Foot $foot): array
    {
        return array_values(array_filter(StitchBook::standard()->all(), fn (StitchKind $s): bool => in_array($foot->kind->id, $s->feet, true) && ($foot->largestSwingMm > 0 || ! $s->swings())));
    }

    /** @return list<Machine> of the room that can swing what it is for; whether its mount fits is seen on it */
    public static function on(Foot $foot, Room $room): array
    {
        return array_values(array_filter($room->machines, fn (Machine $m): bool => $foot->smallestSwingMm <= $m->swing->widestMm && ($foot->largestSwingMm <= 0 || $m->swing->widestMm > 0)));
    }

    /** What strikes it, in words: any swing, a wide one, or a narrow one. */
    public static function strikes(Foot $foot, Words $words): string
    {
        return match (true) {
            $foot->largestSwingMm <= 0 => $words->say('foot-strikes.any'),
            $foot->smallestSwingMm > 0 => $words->say('foot-strikes.narrow', ['mm' => $words->mm($foot->smallestSwingMm, 1)]),
            default => $words->say('foot-strikes.wide', ['mm' => $words->mm($foot->largestSwingMm, 1)]),
        };
    }
}
