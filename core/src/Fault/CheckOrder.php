<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

use OpenSeam\Core\Near;
use OpenSeam\Core\ValueRefused;

/**
 * In what order to try causes so that the fault is found in the least expected
 * time: descending probability ÷ minutes (Kadane & Simon 1977; Heckerman, Breese
 * & Rommelse 1995, with one cause at a time). Checks of an earlier round all come
 * before those of a later one; within each the same rule takes the least.
 */
final readonly class CheckOrder
{
    /** @param  list<string>  $order  ids */
    private function __construct(
        public array $order,
        /** Minutes until the cause is found; where it is none of these, all of them are spent. */
        public float $expectedMinutes,
    ) {}

    /**
     * @param  list<array{id: string, probability: float, minutes: float, round?: int}>  $checks  ties stay as given
     *
     * @throws ValueRefused when probabilities are no probabilities, or a check takes no time
     */
    public static function of(array $checks): self
    {
        $sum = 0.0;
        foreach ($checks as $check) {
            if ($check['probability'] < 0 || $check['probability'] > 1 || $check['minutes'] <= 0) {
                throw new ValueRefused('A check has a probability from 0 to 1 and takes more than 0 minutes.');
            }
            $sum += $check['probability'];
        }
        if ($sum > 1 + Near::DUST) {
            throw new ValueRefused('Only one cause is behind it: the probabilities add up to 1 at most.');
        }
        // Sorting keeps ties as they are.
        usort($checks, fn (array $a, array $b): int => ($a['round'] ?? 0) <=> ($b['round'] ?? 0) ?: $b['probability'] * $a['minutes'] <=> $a['probability'] * $b['minutes']);
        $spent = 0.0;
        $expected = 0.0;
        foreach ($checks as $check) {
            $spent += $check['minutes'];
            $expected += $check['probability'] * $spent;
        }

        return new self(array_map(fn (array $c): string => $c['id'], $checks), $expected + max(0.0, 1 - $sum) * $spent);
    }
}
