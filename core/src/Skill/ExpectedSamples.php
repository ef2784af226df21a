<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use OpenSeam\Core\Near;

/**
 * How many samples a beginner is expected to sew until one is good, by the
 * model of knowledge tracing (Corbett & Anderson 1995) run forward: a known
 * skill is shown wrong with chance S, an unknown one right with chance G, and
 * each sample teaches it with chance T. Who fails has the poorer odds the next
 * time, so the known and the unknown are counted apart.
 */
final class ExpectedSamples
{
    private const MOST = 500;

    /**
     * @param  float|null  $known  chance that it is known before the first sample; default what the demonstration leaves
     * @return float 1 or more; what is above 1 are the repeats
     */
    public static function untilGood(TracingParameters $p, ?float $known = null): float
    {
        $known ??= $p->afterDemo();
        $unknown = 1 - $known;
        $expected = 0.0;
        for ($i = 0; $i < self::MOST && $known + $unknown > Near::CHANCE; $i++) {
            // Those without a good sample so far sew one more.
            $expected += $known + $unknown;
            $failed = $unknown * (1 - $p->guess);
            $known = $known * $p->slip + $failed * $p->transit;
            $unknown = $failed * (1 - $p->transit);
        }

        return $expected;
    }
}
