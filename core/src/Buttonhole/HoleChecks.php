<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Near;

/**
 * A reading held against the plan: each check with its value and verdict.
 * Tolerances to start from are common practice, no source.
 *
 * @phpstan-type Check array{id: string, value: float|string|bool, verdict: string}
 */
final class HoleChecks
{
    /** [mm] Met and near: the finished length, and one side against the other. */
    public const FINISHED = [1.0, 2.0];

    public const SIDES = [1.0, 2.0];

    /** Shares of the mean. */
    public const POINTS = [0.15, 0.30];

    /** [mm] Over the length. */
    public const SKEW = [1.0, 2.0];

    /** [mm] From its place. */
    public const PLACE = [1.0, 2.0];

    /** [mm] From and to, met and near. */
    public const GAP = [[0.5, 1.0], [0.3, 1.5]];

    /** [mm] Of the opening that was planned; ours to start from. */
    public const OPENING = [0.5, 1.0];

    /** @return list<Check> of what was read */
    public static function of(HolePlan $plan, HoleReading $read): array
    {
        $finished = $read->finishedMm($plan->finishedMm);
        $checks = [
            ...self::within('finished', $finished === null ? null : $finished - $plan->finishedMm, self::FINISHED, $finished),
            ...self::within('sides', self::less($read->leftMm, $read->rightMm), self::SIDES),
            ...self::within('bars', self::less($read->barFrontMm, $read->barBackMm), self::SIDES),
            ...self::within('place', $read->displacedMm(), self::PLACE),
            ...self::gap($read->gapMm),
            ...self::within('points', $read->lopsided(), self::POINTS),
        ];
        foreach (['left' => $read->showsLeft, 'right' => $read->showsRight] as $side => $shows) {
            $shows === null || $checks[] = ['id' => "cloth-$side", 'value' => $shows, 'verdict' => ['none' => 'met', 'little' => 'near', 'clear' => 'not-yet'][$shows] ?? 'not-yet'];
        }
        array_push($checks, ...self::within('skew', self::less($read->edgeFrontMm, $read->edgeBackMm), self::SKEW));
        // What must not be, and what must.
        foreach (['puckered' => $read->puckered, 'thread-caught' => $read->threadCaught, 'nest' => $read->nest, 'ridge' => $read->ridge, 'start-gap' => $read->startGap] as $id => $is) {
            $is === null || $checks[] = ['id' => $id, 'value' => $is, 'verdict' => $is ? 'not-yet' : 'met'];
        }
        $read->tied === null || $checks[] = ['id' => 'tied', 'value' => $read->tied, 'verdict' => $read->tied ? 'met' : 'not-yet'];
        array_push($checks, ...self::within('opening', self::less($read->openingMm, $plan->openingMm), self::OPENING, $read->openingMm));
        $read->button === null || $checks[] = ['id' => 'button', 'value' => $read->button, 'verdict' => $read->button === 'snug' ? 'met' : 'not-yet'];
        foreach (['bar-cut' => $read->barCut, 'side-cut' => $read->sideCut] as $id => $is) {
            $is === null || $checks[] = ['id' => $id, 'value' => $is, 'verdict' => $is ? 'not-yet' : 'met'];
        }

        return $checks;
    }

    /**
     * @param  float|null  $off  from what is wanted; null: not read
     * @param  array{float, float}  $limits  met and near
     * @param  float|null  $value  that is shown; null: how far it is off
     * @return list<Check>
     */
    private static function within(string $id, ?float $off, array $limits, ?float $value = null): array
    {
        return $off === null ? [] : [['id' => $id, 'value' => $value ?? $off, 'verdict' => self::verdict(abs($off), $limits[0], $limits[1])]];
    }

    /** @return list<Check> */
    private static function gap(?float $mm): array
    {
        if ($mm === null) {
            return [];
        }
        [[$least, $most], [$nearLeast, $nearMost]] = self::GAP;
        $verdict = match (true) {
            $mm >= $least - Near::DUST && $mm <= $most + Near::DUST => 'met',
            $mm >= $nearLeast - Near::DUST && $mm <= $nearMost + Near::DUST => 'near',
            default => 'not-yet',
        };

        return [['id' => 'gap', 'value' => $mm, 'verdict' => $verdict]];
    }

    private static function less(?float $a, ?float $b): ?float
    {
        return $a === null || $b === null ? null : $a - $b;
    }

    private static function verdict(float $off, float $met, float $near): string
    {
        return match (true) {
            $off <= $met + Near::DUST => 'met',
            $off <= $near + Near::DUST => 'near',
            default => 'not-yet',
        };
    }
}
