<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

use OpenSeam\Core\Near;

/** When something runs out: the first session whose needs, with all before it, are more than what is there. */
final class Shortage
{
    /** @var array<int, array<array-key, float>> amounts of the first so many sessions, by item */
    private array $sums = [];

    /** @param  callable(int, int): ClassMaterials  $count  needs of the sessions from one to before another, counted from 0 */
    private function __construct(private $count) {}

    /**
     * Needs grow from session to session: each item's day is found by halving, and
     * what the cupboard has none of is short on the first day that asks for it.
     *
     * @param  callable(int, int): ClassMaterials  $count  needs of the sessions from one to before another, counted from 0
     * @param  array<array-key, float>  $have  by item, in the unit of the need
     * @return array<array-key, int> by item, counted from 0; what never runs short is left out
     */
    public static function first(int $sessions, callable $count, array $have): array
    {
        $self = new self($count);
        $short = [];
        foreach ($sessions === 0 ? [] : $self->upTo($sessions) as $item => $amount) {
            if ($amount > ($have[$item] ?? 0.0) + Near::DUST) {
                $short[$item] = $self->day($item, $have[$item] ?? 0.0, $sessions);
            }
        }

        return $short;
    }

    private function day(int|string $item, float $have, int $sessions): int
    {
        if ($have <= 0.0) {
            for ($k = 0; $k < $sessions - 1; $k++) {
                if (($this->alone($k)[$item] ?? 0.0) > 0.0) {
                    return $k;
                }
            }

            return $sessions - 1;
        }
        [$low, $high] = [1, $sessions];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            ($this->upTo($middle)[$item] ?? 0.0) > $have + Near::DUST ? $high = $middle : $low = $middle + 1;
        }

        return $low - 1;
    }

    /** @return array<array-key, float> */
    private function upTo(int $sessions): array
    {
        return $this->sums[$sessions] ??= self::amounts(($this->count)(0, $sessions));
    }

    /** @return array<array-key, float> */
    private function alone(int $session): array
    {
        return $this->sums[-1 - $session] ??= self::amounts(($this->count)($session, $session + 1));
    }

    /** @return array<array-key, float> */
    private static function amounts(ClassMaterials $materials): array
    {
        $amounts = [];
        foreach ($materials->needs as $need) {
            $amounts[$need->item] = $need->amount;
        }

        return $amounts;
    }
}
