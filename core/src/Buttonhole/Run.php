<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Tables;

/**
 * A buttonhole sewn on one machine, an act at a time (core/resources/buttonhole-runs.json),
 * and the parts it is made of in the order in which they are sewn.
 *
 * @phpstan-type Act array{id: string, text: string, at?: string, caution?: string, stop_when?: string, see?: string}
 * @phpstan-type Part array{part: string, from: string, to: string, direction: string}
 */
final readonly class Run
{
    /** Of a bar; common practice, no source. */
    public const SWINGS = 6;

    /**
     * @param  list<Act>  $acts
     * @param  list<Part>  $path
     * @param  list<array{fault: string, text: string}>  $instead  what it may do instead, and the fault it is a sign of
     */
    private function __construct(public array $acts, public array $path, public array $instead) {}

    /** @param  string|null  $set  what the machine, the foot or the marks are told, in words */
    public static function of(ButtonholeWay $way, string $kind, RunFacts $facts, int $swings = self::SWINGS, ?string $set = null, bool $openBars = false): self
    {
        $way = $way === ButtonholeWay::None ? ButtonholeWay::ByHand : $way;
        $straightFirst = $facts->straightFirst === true && $way->isOneStep();
        $holds = [
            'starts' => $facts->starts, 'straight_first' => $straightFirst, 'ties_off' => $facts->tiesOff ?? false, 'lever' => $facts->lever && $way === ButtonholeWay::OneStep,
            'corded' => $facts->corded || $kind === 'corded', 'looked' => $facts->looked, 'told' => $set !== null, 'kind' => $kind, 'shaped' => in_array($kind, ['round-ended', 'keyhole'], true),
        ];
        [$start, $far] = match ($facts->starts) {
            'front' => ['front', 'back'],
            'back' => ['back', 'front'],
            default => ['start', 'far end'],
        };
        [$side1, $side2] = $facts->firstSide === 'right' ? ['right', 'left'] : ['left', 'right'];
        $table = Tables::read('buttonhole-runs');
        $words = [
            '{start}' => $start, '{far}' => $far, '{swings}' => (string) $swings, '{side1}' => $side1, '{side2}' => $side2, '{set}' => (string) $set,
            '{end}' => $table->part('ends')->text($kind), '{bar}' => strtr($table->part('bars')->text($openBars ? 'open' : 'dense'), ['{swings}' => (string) $swings]),
        ];
        foreach ($table->part('steps')->texts($way->value) as $i => $step) {
            $words['{s'.($i + 1).'}'] = $facts->marks[$i] ?? $step;
        }
        $acts = [];
        foreach ([...$table->parts('before'), ...$table->part('ways')->parts($way->value), ...$table->parts('end')] as $act) {
            if (self::holds($act, $holds)) {
                $acts[] = self::said($act, $words);
            }
        }

        $by = $way->isOneStep() ? 'itself' : 'hand';
        $instead = array_map(fn (Data $i): array => ['fault' => $i->text('fault'), 'text' => $i->text('text')], array_values(array_filter($table->parts('instead'), fn (Data $i): bool => $i->text('turns', $by) === $by)));

        return new self($acts, self::path($kind, $straightFirst, $start, $far, $side1, $side2), $instead);
    }

    /** @param  array<string, string|bool>  $facts */
    private static function holds(Data $act, array $facts): bool
    {
        foreach ($act->has('if') ? $act->part('if')->raw() : [] as $fact => $is) {
            if (($facts[$fact] ?? null) !== $is) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<string, string>  $words
     * @return Act
     */
    private static function said(Data $act, array $words): array
    {
        $said = ['id' => $act->text('id'), 'text' => strtr($act->text('text'), $words)];
        foreach (['at', 'caution', 'stop_when', 'see'] as $more) {
            $act->has($more) && $said[$more] = strtr($act->text($more), $words);
        }

        return $said;
    }

    /** @return list<Part> */
    private static function path(string $kind, bool $straightFirst, string $start, string $far, string $side1, string $side2): array
    {
        $out = ['from' => $start, 'to' => $far, 'direction' => self::direction($start)];
        $home = ['from' => $far, 'to' => $start, 'direction' => self::direction($far)];
        $end = fn (string $at, string $part): array => ['part' => $part, 'from' => $at, 'to' => $at, 'direction' => 'across'];
        // The shaped end is the far one: the machine goes round it without a stop.
        $shaped = match ($kind) {
            'round-ended' => 'round-end', 'keyhole' => 'eye', default => 'bar',
        };

        return [
            ...($straightFirst ? [['part' => "straight-$side1"] + $out, ['part' => "straight-$side2"] + $home] : []),
            ['part' => "side-$side1"] + $out, $end($far, $shaped), ['part' => "side-$side2"] + $home, $end($start, 'bar'),
        ];
    }

    /** Cloth is fed away: what is sewn forwards goes from the back of the hole to its front. */
    private static function direction(string $from): string
    {
        return match ($from) {
            'back' => 'forwards', 'front' => 'backwards', 'start' => 'away-from-start', default => 'back-to-start',
        };
    }
}
