<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Near;
use OpenSeam\Core\Tables;
use OpenSeam\Core\Words;

/**
 * What is seen on a buttonhole, the one change, and the skill it speaks of: the
 * first row of the table that holds (core/resources/buttonhole-table.json).
 */
final readonly class HoleVerdict
{
    /** [mm] Where button and ruler disagree about which is larger: half of what is called tight. */
    private const LEAST_STEP_MM = 0.5;

    /** Of its own length: so far beside its place, it was begun at the other end. */
    private const OTHER_END = 0.6;

    private function __construct(
        /** Row of the table; null: nothing of it is seen. */
        public ?string $seen,
        public string $text,
        public ?string $skill,
        /** [mm] Of the change. */
        public ?float $byMm = null,
        /** [mm] The opening to plan next, where its size changes. */
        public ?float $nextOpeningMm = null,
    ) {}

    /**
     * @param  string  $starts  front or back, the end at which the machine was thought to start; empty: unknown
     * @param  bool  $balance  the machine has a control for it
     * @param  Words|null  $words  in which lengths are said; null: mm
     */
    public static function of(HolePlan $plan, HoleReading $read, ButtonholeWay $way, string $starts = '', bool $balance = false, ?Words $words = null): self
    {
        $found = self::size($plan, $read, $way) ?? self::place($plan, $read, $starts) ?? self::density($plan, $read, $balance) ?? self::rest($read) ?? new self(null, Tables::read('buttonhole-table')->text('nothing'), null);
        $by = ($words ?? Words::in())->length($found->byMm ?? 0.0);

        return new self($found->seen, str_replace('{by}', $by, $found->text), $found->skill, $found->byMm, $found->nextOpeningMm);
    }

    private static function size(HolePlan $plan, HoleReading $read, ButtonholeWay $way): ?self
    {
        $opening = $read->openingMm ?? $plan->openingMm;
        if ($read->button === 'loose') {
            $by = max($opening - $plan->halfWrapMm, self::LEAST_STEP_MM);

            return self::row('loose', [], $by, $opening - $by);
        }
        if ($read->button !== 'tight') {
            return null;
        }
        $short = $plan->finishedMm - ($read->finishedMm($plan->finishedMm) ?? $plan->finishedMm);
        if ($short > HoleChecks::FINISHED[0] + Near::DUST) {
            return self::row('tight-short', [], $short, null, $way->isOneStep() ? 'one-step' : null);
        }
        if ($opening < $plan->openingMm - HoleChecks::OPENING[0] - Near::DUST) {
            return self::row('tight-opening-short', [], $plan->openingMm - $opening);
        }
        $by = max($plan->halfWrapMm - $opening, self::LEAST_STEP_MM);

        return self::row('tight-as-planned', [], $by, $opening + $by);
    }

    private static function place(HolePlan $plan, HoleReading $read, string $starts): ?self
    {
        $by = abs($read->displacedMm() ?? 0.0);

        return match (true) {
            $by >= self::OTHER_END * $plan->finishedMm => self::row('other-end', ['end' => match ($starts) {
                'front' => 'back', 'back' => 'front', default => 'other end',
            }], $by),
            $by > HoleChecks::PLACE[0] + Near::DUST => self::row('displaced', [], $by),
            default => null,
        };
    }

    private static function density(HolePlan $plan, HoleReading $read, bool $balance): ?self
    {
        $both = $read->pointsLeft === null || $read->pointsRight === null || $plan->pointsPer10 === null || $plan->pointsPer10 <= 0 ? null : ($read->pointsLeft + $read->pointsRight) / 2 / $plan->pointsPer10 - 1;
        $denser = $read->denser();

        return match (true) {
            $read->clothShows(), $denser === null && $both !== null && $both < -HoleChecks::POINTS[1] => self::row('cloth-shows'),
            $read->ridge === true, $denser === null && $both !== null && $both > HoleChecks::POINTS[1] => self::row('ridge'),
            $denser !== null => self::row('one-side-denser', ['denser' => $denser], null, null, $balance ? 'balance' : null),
            default => null,
        };
    }

    private static function rest(HoleReading $read): ?self
    {
        $sides = $read->leftMm === null || $read->rightMm === null ? 0.0 : abs($read->leftMm - $read->rightMm);
        $skew = $read->edgeFrontMm === null || $read->edgeBackMm === null ? 0.0 : abs($read->edgeFrontMm - $read->edgeBackMm);

        return match (true) {
            $sides > HoleChecks::SIDES[0] + Near::DUST => self::row('overrun', [], $sides),
            $skew > HoleChecks::SKEW[0] + Near::DUST => self::row('skewed', [], $skew),
            $read->puckered === true => self::row('puckered'),
            $read->barCut === true || $read->sideCut === true => self::row('cut'),
            $read->threadCaught === true || $read->nest === true => self::row('thread-caught'),
            $read->startGap === true => self::row('gap-at-start'),
            default => null,
        };
    }

    /** @param  array<string, string>  $said */
    private static function row(string $id, array $said = [], ?float $by = null, ?float $next = null, ?string $where = null): self
    {
        $row = Tables::read('buttonhole-table')->part('rows')->part($id);
        $here = $where !== null && $row->has($where) ? $row->part($where) : $row;
        $text = $here->text('text');
        foreach ($said as $name => $value) {
            $text = str_replace('{'.$name.'}', $value, $text);
        }

        return new self($id, $text, $here->has('skill') ? $here->text('skill') : $row->text('skill'), $by, $next);
    }
}
