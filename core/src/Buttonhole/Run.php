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
 * @phpstan-type Act array{id: string, text: string, caution?: string, stop_when?: string, see?: string}
 * @phpstan-type Part array{part: string, from: string, to: string, direction: string}
 */
final readonly class Run
{
    /** Of a bar; common practice, no source. */
    public const SWINGS = 6;

    /**
     * @param  list<Act>  $acts
     * @param  list<Part>  $path
     */
    private function __construct(public array $acts, public array $path) {}

    /** @param  array{starts: string, straight_first: bool, ties_off: bool, lever: bool, corded: bool}  $facts  starts: front, back, or empty while nobody has looked */
    public static function of(ButtonholeWay $way, string $kind, array $facts, int $swings = self::SWINGS): self
    {
        $way = $way === ButtonholeWay::None ? ButtonholeWay::ByHand : $way;
        $facts['corded'] = $facts['corded'] || $kind === 'corded';
        $facts['lever'] = $facts['lever'] && $way === ButtonholeWay::OneStep;
        $facts['straight_first'] = $facts['straight_first'] && $way->isOneStep();
        [$start, $far] = match ($facts['starts']) {
            'front' => ['front', 'back'],
            'back' => ['back', 'front'],
            default => ['start', 'far end'],
        };
        $table = Tables::read('buttonhole-runs');
        $acts = [];
        foreach ([...$table->parts('before'), ...$table->part('ways')->parts($way->value), ...$table->parts('end')] as $act) {
            if (self::holds($act, $facts)) {
                $acts[] = self::said($act, ['{start}' => $start, '{far}' => $far, '{swings}' => (string) $swings]);
            }
        }

        return new self($acts, self::path($kind, $facts['straight_first'], $start, $far));
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
        foreach (['caution', 'stop_when', 'see'] as $more) {
            $act->has($more) && $said[$more] = strtr($act->text($more), $words);
        }

        return $said;
    }

    /** @return list<Part> */
    private static function path(string $kind, bool $straightFirst, string $start, string $far): array
    {
        $out = ['from' => $start, 'to' => $far, 'direction' => self::direction($start)];
        $home = ['from' => $far, 'to' => $start, 'direction' => self::direction($far)];
        $end = fn (string $at, string $part): array => ['part' => $part, 'from' => $at, 'to' => $at, 'direction' => 'across'];
        // The shaped end is the far one: the machine goes round it without a stop.
        $shaped = match ($kind) {
            'round-ended' => 'round-end', 'keyhole' => 'eye', default => 'bar',
        };

        return [
            ...($straightFirst ? [['part' => 'straight-left'] + $out, ['part' => 'straight-right'] + $home] : []),
            ['part' => 'side-left'] + $out, $end($far, $shaped), ['part' => 'side-right'] + $home, $end($start, 'bar'),
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
