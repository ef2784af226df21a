<?php

declare(strict_types=1);

namespace OpenSeam\Core\Grading;

use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Near;

/**
 * A check now and on the sample before: better or worse only where the two
 * distances from what is wanted differ by more than their uncertainty (k = 2,
 * JCGM 100:2008, 5.1.2, independent readings); what is not measured goes by its
 * verdict.
 */
final readonly class Comparison
{
    private function __construct(
        public string $key,
        /** "better", "same" or "worse". */
        public string $how,
        /** What it was before. */
        public string $before,
    ) {}

    /** @return list<self> checks that were judged both times */
    public static function of(Grade $before, Grade $now): array
    {
        $old = [];
        foreach ($before->checks as $check) {
            $old[$check->key()] = $check;
        }
        $compared = [];
        foreach ($now->checks as $check) {
            $was = $old[$check->key()] ?? null;
            if ($check->result !== null && $was?->result !== null) {
                $compared[] = new self($check->key(), self::how($was, $check), $was->result->text);
            }
        }

        return $compared;
    }

    private static function how(GradedCheck $was, GradedCheck $is): string
    {
        [$a, $b] = [$was->result, $is->result];
        if ($a?->off !== null && $b?->off !== null && $a->u !== null && $b->u !== null) {
            $closer = $a->off - $b->off;

            return match (true) {
                abs($closer) <= 2 * hypot($a->u, $b->u) + Near::DUST => 'same',
                $closer > 0 => 'better',
                default => 'worse',
            };
        }
        $rank = fn (?Verdict $v): int => match ($v) {
            Verdict::Met => 2,
            Verdict::NotYet, null => 0,
            default => 1,
        };

        return ['worse', 'same', 'better'][($rank($is->verdict()) <=> $rank($was->verdict())) + 1];
    }
}
